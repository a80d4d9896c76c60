import { useQuery } from "@tanstack/react-query";
import { libraryQuery } from "../../app/queries";
import { SelectField } from "../../ui/Field";
import { Button } from "../../ui/parts";

interface Props {
  label: string;
  picked: readonly string[];
  most: number;
  onChange: (picked: string[]) => void;
}

/** Lines and pieces of the library, picked one by one. */
export function LinesPicked({ label, picked, most, onChange }: Props) {
  const library = useQuery(libraryQuery);
  const lines = library.data?.milestones.filter((one) => one.kind === "LINE") ?? [];
  const title = (id: string) => {
    const line = lines.find((one) => one.id === id);
    return line ? `${line.shortName}, ${line.title}` : "no longer there";
  };
  return (
    <div className="grow">
      <SelectField
        label={label}
        small
        value=""
        disabled={picked.length >= most}
        onChange={(event) => event.target.value && onChange([...new Set([...picked, event.target.value])])}
      >
        <option value="">choose</option>
        {lines.map((line) => (
          <option key={line.id} value={line.id}>
            {line.line?.book ? `${line.line.book}: ` : ""}
            {line.shortName}, {line.title}
          </option>
        ))}
      </SelectField>
      <ol className="mt-1.5 flex flex-wrap gap-1.5">
        {picked.map((id) => (
          <li key={id}>
            <Button
              small
              aria-label={`Take ${title(id)} away`}
              onClick={() => onChange(picked.filter((one) => one !== id))}
            >
              {title(id)} ×
            </Button>
          </li>
        ))}
      </ol>
    </div>
  );
}
