import { useQuery } from "@tanstack/react-query";
import { ArrowDown, ArrowUp, Plus, X } from "lucide-react";
import type { Instrument, TestPartDraft, TestVariantDraft } from "../../api/types";
import { instrumentsQuery, libraryQuery } from "../../app/queries";
import { Cell } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button, IconButton } from "../../ui/parts";
import { milestoneName } from "../hear/milestoneName";
import { PartPicker } from "./PartPicker";
import { changed, excerptOf, moved, newPart, newVariant, numberOf, without } from "./testDraft";
import { WriteMusic } from "./WriteMusic";

interface Props {
  parts: TestPartDraft[];
  onChange: (parts: TestPartDraft[]) => void;
}

/** What is played, part by part, and what sections play otherwise. */
export function PartRows({ parts, onChange }: Props) {
  const library = useQuery(libraryQuery);
  const instruments = useQuery(instrumentsQuery);
  const names = new Map(library.data?.milestones.map((m) => [m.id, m]));
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold">What is played, in this order</legend>
      <ol className="grid gap-2">
        {parts.map((part, i) => {
          const milestone = names.get(part.milestoneId);
          const name = milestone ? milestoneName(milestone) : "a line that is off the shelf";
          return (
            <li key={`${part.milestoneId} ${i}`} className="hairline rounded-[10px] border-[1.5px] px-3 py-2">
              <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
                <b className="grow">
                  {i + 1}. {name}
                </b>
                {milestone?.kind === "LINE" && (
                  <ExcerptFields
                    of={`part ${i + 1}`}
                    excerpt={part.excerpt}
                    onChange={(excerpt) => onChange(changed(parts, i, { excerpt }))}
                  />
                )}
                <span className="flex">
                  {parts.length > 1 && (
                    <>
                      <IconButton
                        label={`Part ${i + 1} earlier`}
                        onPress={() => onChange(moved(parts, i, -1))}
                      >
                        <ArrowUp size={16} aria-hidden />
                      </IconButton>
                      <IconButton label={`Part ${i + 1} later`} onPress={() => onChange(moved(parts, i, 1))}>
                        <ArrowDown size={16} aria-hidden />
                      </IconButton>
                    </>
                  )}
                  <IconButton label={`Take part ${i + 1} away`} onPress={() => onChange(without(parts, i))}>
                    <X size={17} aria-hidden />
                  </IconButton>
                </span>
              </div>
              {milestone?.kind === "LINE" && (
                <Variants
                  part={i + 1}
                  variants={part.variants}
                  instruments={instruments.data ?? []}
                  onChange={(variants) => onChange(changed(parts, i, { variants }))}
                />
              )}
            </li>
          );
        })}
      </ol>
      <div className="mt-2 grid gap-2">
        <PartPicker onPick={(id) => onChange([...parts, newPart(id)])} />
        <WriteMusic onWritten={(id) => onChange([...parts, newPart(id)])} />
      </div>
    </fieldset>
  );
}

interface ExcerptProps {
  of: string;
  excerpt: TestPartDraft["excerpt"];
  onChange: (excerpt: TestPartDraft["excerpt"]) => void;
}

function ExcerptFields({ of, excerpt, onChange }: ExcerptProps) {
  const field = "!w-14 text-center";
  const repeats = excerpt?.repeats ?? false;
  return (
    <span className="flex items-center gap-1.5">
      measures
      <Cell
        aria-label={`First measure of ${of}`}
        placeholder="all"
        inputMode="numeric"
        className={field}
        value={excerpt?.from ?? ""}
        onChange={(event) => onChange(excerptOf(numberOf(event.target.value), excerpt?.to, repeats))}
      />
      to
      <Cell
        aria-label={`Last measure of ${of}`}
        placeholder="all"
        inputMode="numeric"
        className={field}
        value={excerpt?.to ?? ""}
        onChange={(event) => onChange(excerptOf(excerpt?.from, numberOf(event.target.value), repeats))}
      />
      {excerpt && (
        <label className="small flex items-center gap-1.5">
          <input
            type="checkbox"
            className={looks.checkbox}
            checked={repeats}
            onChange={(event) => onChange({ ...excerpt, repeats: event.target.checked })}
          />
          with every repeat
        </label>
      )}
    </span>
  );
}

interface VariantProps {
  part: number;
  variants: TestVariantDraft[];
  instruments: Instrument[];
  onChange: (variants: TestVariantDraft[]) => void;
}

function Variants({ part, variants, instruments, onChange }: VariantProps) {
  const select = `${looks.smallSelect} h-9 text-[0.95rem]`;
  return (
    <div className="mt-1">
      <ul className="grid gap-1.5">
        {variants.map((variant, v) => {
          const of = `variant ${v + 1} of part ${part}`;
          return (
            <li key={v} className="flex flex-wrap items-center gap-1.5">
              <select
                aria-label={`Section of ${of}`}
                className={select}
                value={variant.instrument}
                onChange={(event) => onChange(changed(variants, v, { instrument: event.target.value }))}
              >
                {instruments.map((instrument) => (
                  <option key={instrument.code} value={instrument.code}>
                    {instrument.name}
                  </option>
                ))}
              </select>
              <Cell
                aria-label={`Division of ${of}`}
                placeholder="division"
                maxLength={40}
                className="!w-24"
                value={variant.division}
                onChange={(event) => onChange(changed(variants, v, { division: event.target.value }))}
              />
              <ExcerptFields
                of={of}
                excerpt={variant.excerpt}
                onChange={(excerpt) => onChange(changed(variants, v, { excerpt }))}
              />
              <select
                aria-label={`Octave of ${of}`}
                className={select}
                value={variant.octaves}
                onChange={(event) => onChange(changed(variants, v, { octaves: Number(event.target.value) }))}
              >
                <option value={0}>as read</option>
                <option value={1}>octave higher</option>
                <option value={-1}>octave lower</option>
                <option value={2}>two higher</option>
                <option value={-2}>two lower</option>
              </select>
              <Cell
                aria-label={`Position of ${of}`}
                placeholder="position"
                maxLength={60}
                className="!w-28"
                value={variant.position}
                onChange={(event) => onChange(changed(variants, v, { position: event.target.value }))}
              />
              <Cell
                aria-label={`String of ${of}`}
                placeholder="string"
                maxLength={60}
                className="!w-24"
                value={variant.string}
                onChange={(event) => onChange(changed(variants, v, { string: event.target.value }))}
              />
              <IconButton label={`Take ${of} away`} onPress={() => onChange(without(variants, v))}>
                <X size={17} aria-hidden />
              </IconButton>
            </li>
          );
        })}
      </ul>
      <Button
        small
        look="quiet"
        className="-ml-3"
        onClick={() => onChange([...variants, newVariant(instruments[0]?.code ?? "")])}
      >
        <Plus size={16} aria-hidden /> A section that plays otherwise
      </Button>
    </div>
  );
}
