import { useQuery } from "@tanstack/react-query";
import { instrumentsQuery } from "./queries";
import { SelectField } from "../ui/Field";

interface Props {
  label: string;
  value: string;
  onChange: (code: string) => void;
}

/** One of the instruments there are; none at first. */
export function InstrumentSelect({ label, value, onChange }: Props) {
  const instruments = useQuery(instrumentsQuery);
  return (
    <SelectField label={label} small value={value} onChange={(event) => onChange(event.target.value)}>
      <option value="">choose</option>
      {instruments.data?.map((one) => (
        <option key={one.code} value={one.code}>
          {one.name}
        </option>
      ))}
    </SelectField>
  );
}
