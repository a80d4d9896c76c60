import { at } from "../../api/at";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import clsx from "clsx";
import { useState } from "react";
import { v7 as newId } from "uuid";
import type { GiveVariant, Player } from "../../api/types";
import { useSeesEverybody } from "../../app/role";
import { useScope } from "../../app/scope";
import { useToast } from "../../ui/toasts";
import { checkVariantsQuery } from "../library/checks.queries";
import { outbox } from "./outbox";

/** Who of the section uses which variant of a check, and what can be given; what was just given shows at once. */
export function useVariants(milestoneId: string, wanted = true) {
  const { scope } = useScope();
  const client = useQueryClient();
  const toast = useToast();
  const everybody = useSeesEverybody();
  const known = useQuery({ ...checkVariantsQuery(milestoneId, scope), enabled: wanted && everybody });
  const [given, setGiven] = useState<ReadonlyMap<string, string>>(new Map());
  const inUse = (studentId: string) => known.data?.inUse.find((v) => v.studentId === studentId);
  return {
    offered: known.data?.offered ?? [],
    nameOf: (studentId: string) => given.get(studentId) ?? inUse(studentId)?.name,
    overdue: (studentId: string) => !given.has(studentId) && (inUse(studentId)?.overdue ?? false),
    criteriaOf: (studentId: string) => (given.has(studentId) ? undefined : inUse(studentId)?.criteria),
    stepsOf: (studentId: string) => (given.has(studentId) ? undefined : inUse(studentId)?.steps),
    give: (player: Player, name: string) => {
      const id = newId();
      setGiven((all) => new Map(all).set(player.studentId, name));
      toast(`${player.name}: ${name}`);
      outbox.add({
        id,
        kind: "note",
        label: `${player.name}, variant ${name}`,
        path: at("/api/students/{studentId}/variants", { studentId: player.studentId }),
        body: { id, milestoneId, classId: player.classId, name } satisfies GiveVariant,
      });
      void client.invalidateQueries({ queryKey: ["progress", "folder"] });
    },
  };
}

interface Props {
  player: Player;
  variants: ReturnType<typeof useVariants>;
}

/** A variant in two taps: open, choose. */
export function VariantPick({ player, variants }: Props) {
  const [open, setOpen] = useState(false);
  const name = variants.nameOf(player.studentId);
  const overdue = variants.overdue(player.studentId);
  if (variants.offered.length === 0) return null;
  return (
    // The keys and the focus it hears are those of the buttons within it.
    // eslint-disable-next-line jsx-a11y/no-static-element-interactions
    <div
      className="relative inline-block"
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") setOpen(false);
      }}
    >
      <button
        type="button"
        aria-expanded={open}
        aria-label={`Variant of ${player.name}: ${name ?? "none"}${overdue ? ", review overdue" : ""}`}
        onClick={() => setOpen(!open)}
        className={clsx(
          "min-h-11 rounded-lg px-2 py-1 text-left text-[0.85rem] leading-tight",
          name ? "hairline border-[1.5px]" : "soft hover:bg-base-200",
        )}
      >
        {name ?? "as taught"}
        {overdue && <span className="block border-l-[3px] border-[var(--now)] pl-1.5">review overdue</span>}
      </button>
      {open && (
        <ul className="bg-base-100 border-base-content absolute right-0 z-30 mt-1 grid w-72 gap-1 rounded-xl border-[1.5px] p-2 shadow-lg">
          {variants.offered.map((variant) => (
            <li key={variant.name}>
              <button
                type="button"
                aria-pressed={variant.name === name}
                onClick={() => {
                  setOpen(false);
                  if (variant.name !== name) variants.give(player, variant.name);
                }}
                className="hover:bg-base-200 aria-pressed:bg-base-200 block min-h-11 w-full rounded-lg px-3 py-1.5 text-left"
              >
                <b>{variant.name}</b>
                <span className="small soft block">
                  {variant.note} · look again in {variant.reviewWeeks} weeks
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
