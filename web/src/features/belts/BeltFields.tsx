import { Plus, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import type { BeltForm, LibraryView, SlotForm } from "../../api/types";
import { Cell, Field, SelectField, Tick } from "../../ui/Field";
import { looks } from "../../ui/looks";
import { Button } from "../../ui/parts";
import { weaves } from "../../ui/weave";
import { FillingRow } from "./FillingRow";
import { emptySlot, filledWith, fillings, MOST_KNOTS, replaced, without } from "./ladderForm";

interface Props {
  belt: BeltForm;
  library: LibraryView;
  onChange: (belt: BeltForm) => void;
  /** What can be done with the belt as a whole. */
  children: ReactNode;
}

const rules: Record<BeltForm["rule"], string> = {
  EVERY_SLOT: "every slot",
  AT_LEAST: "so many of the slots",
  MUSTS_AND_FREE: "every must, and so many of the others",
};

const MOST_SLOTS = 8;

/** One belt: how it looks, how many of its slots make it, and what fills them. */
export function BeltFields({ belt, library, onChange, children }: Props) {
  const put = (change: Partial<BeltForm>) => onChange({ ...belt, ...change });
  const groups = fillings(library);
  const titles = new Map(library.milestones.map((one) => [one.id, one.title]));
  return (
    <fieldset className="grid gap-3">
      <legend className="sr-only">{belt.name || "This belt"}</legend>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
        <div className="min-w-36 grow">
          <Field
            label="Belt"
            small
            maxLength={40}
            value={belt.name}
            onChange={(event) => put({ name: event.target.value })}
          />
        </div>
        <div className="w-14">
          <Field
            label="Colour"
            small
            type="color"
            className="px-1"
            value={belt.color}
            onChange={(event) => put({ color: event.target.value.toUpperCase() })}
          />
        </div>
        <div className="w-32">
          <SelectField
            label="Weave"
            small
            value={belt.weave}
            onChange={(event) => put({ weave: event.target.value })}
          >
            {weaves.map((weave) => (
              <option key={weave}>{weave}</option>
            ))}
          </SelectField>
        </div>
        <div className="w-16">
          <Field
            label="Knots"
            small
            type="number"
            min={1}
            max={MOST_KNOTS}
            value={belt.knots}
            onChange={(event) =>
              put({ knots: Math.min(Math.max(Math.trunc(event.target.valueAsNumber) || 1, 1), MOST_KNOTS) })
            }
          />
        </div>
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <div className="min-w-56">
          <SelectField
            label="Earned with"
            small
            value={belt.rule}
            onChange={(event) => {
              const rule = event.target.value as BeltForm["rule"];
              put({ rule, ruleSlots: rule === "EVERY_SLOT" ? 0 : Math.max(1, belt.ruleSlots) });
            }}
          >
            {Object.entries(rules).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </SelectField>
        </div>
        {belt.rule !== "EVERY_SLOT" && (
          <div className="w-24">
            <Field
              label="How many"
              small
              type="number"
              min={0}
              max={MOST_SLOTS}
              value={belt.ruleSlots}
              onChange={(event) =>
                put({ ruleSlots: Math.max(0, Math.trunc(event.target.valueAsNumber) || 0) })
              }
            />
          </div>
        )}
        <div className="ml-auto flex">{children}</div>
      </div>
      <ol className="grid gap-2">
        {belt.slots.map((slot, i) => (
          <li key={i} className="hairline grid gap-1.5 rounded-lg border px-2.5 py-2">
            <SlotRow
              slot={slot}
              place={i + 1}
              mustAsked={belt.rule === "MUSTS_AND_FREE"}
              groups={groups}
              titles={titles}
              onChange={(changed) => put({ slots: replaced(belt.slots, i, changed) })}
              onRemove={() => put({ slots: without(belt.slots, i) })}
            />
          </li>
        ))}
      </ol>
      <Button
        small
        className="justify-self-start"
        disabled={belt.slots.length >= MOST_SLOTS}
        onClick={() => put({ slots: [...belt.slots, emptySlot()] })}
      >
        <Plus size={16} aria-hidden /> Slot
      </Button>
    </fieldset>
  );
}

interface SlotProps {
  slot: SlotForm;
  place: number;
  mustAsked: boolean;
  groups: ReturnType<typeof fillings>;
  titles: ReadonlyMap<string, string>;
  onChange: (slot: SlotForm) => void;
  onRemove: () => void;
}

function SlotRow({ slot, place, mustAsked, groups, titles, onChange, onRemove }: SlotProps) {
  return (
    <>
      <div className="flex items-center gap-2">
        <Cell
          aria-label={`Name of slot ${place}`}
          placeholder={`slot ${place}`}
          maxLength={60}
          value={slot.name}
          onChange={(event) => onChange({ ...slot, name: event.target.value })}
        />
        {mustAsked && (
          <Tick
            label="must"
            checked={slot.must}
            onChange={(event) => onChange({ ...slot, must: event.target.checked })}
          />
        )}
        <button
          type="button"
          className={looks.smallQuiet}
          onClick={() => onChange({ ...slot, fillings: [...slot.fillings, { whom: "" }] })}
        >
          <Plus size={15} aria-hidden /> for others
        </button>
        <button
          type="button"
          aria-label={`Take slot ${place} away`}
          className={looks.smallQuiet}
          onClick={onRemove}
        >
          <Trash2 size={15} aria-hidden />
        </button>
      </div>
      {slot.fillings.map((filling, i) => (
        <FillingRow
          key={i}
          filling={filling}
          place={place}
          groups={groups}
          onChange={(changed) => onChange(filledWith(slot, i, changed, titles))}
          onRemove={
            slot.fillings.length > 1
              ? () => onChange({ ...slot, fillings: without(slot.fillings, i) })
              : undefined
          }
        />
      ))}
    </>
  );
}
