import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { ArrowDown, ArrowUp, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { at } from "../../api/at";
import { post, Problem } from "../../api/http";
import type { BeltForm, LadderForm } from "../../api/types";
import { libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { Field } from "../../ui/Field";
import { Button, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { BeltFields } from "./BeltFields";
import { beltOf, moved, newBelt, replaced, without } from "./ladderForm";
import { LadderPreview } from "./LadderPreview";
import { WhomFor } from "./WhomFor";

interface Props {
  /** Absent for a new one. */
  ladderId?: string;
  version: number;
  begun: LadderForm;
}

/** A ladder belt by belt, with what it would ask beside it. */
export function LadderEditor({ ladderId, version, begun }: Props) {
  const [ladder, setLadder] = useState(begun);
  const [chosen, setAt] = useState(0);
  const library = useQuery(libraryQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const belts = ladder.belts;
  const open = Math.min(chosen, belts.length - 1);
  const put = (change: Partial<LadderForm>) => setLadder((old) => ({ ...old, ...change }));
  const save = useMutation({
    mutationFn: () =>
      ladderId
        ? post<void>(at("/api/ladders/{ladderId}", { ladderId }), { version, ladder })
        : post<void>(at("/api/ladders"), ladder),
    onSuccess: async () => {
      toast(ladderId ? "Kept; nobody lost a belt" : "On the shelf; its belts can be ordered in Season");
      await client.invalidateQueries({ queryKey: ["library"] });
      await client.invalidateQueries({ queryKey: ["progress"] });
      await navigate({ pathname: "/library/ladders", search: kept });
    },
    onError: (error) => {
      const belt = error instanceof Problem && error.field ? beltOf(error.field) : undefined;
      if (belt !== undefined) setAt(belt);
    },
  });
  if (!library.data) return <Skeleton rows={10} />;
  const belt = belts[open];
  const add = () => {
    put({ belts: [...belts, newBelt(belts)] });
    setAt(belts.length);
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Heading
        title={ladderId ? `Edit the ${begun.name} ladder` : "New ladder"}
        words={ladderId ? "What was earned stays earned." : undefined}
      />
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,10fr)_minmax(0,9fr)]">
        <div className="grid content-start gap-4">
          <div className="grid items-start gap-4 sm:grid-cols-2">
            <Field
              label="Name"
              small
              maxLength={40}
              placeholder="winds"
              value={ladder.name}
              onChange={(event) => put({ name: event.target.value })}
            />
            <div className="pt-7">
              <WhomFor
                instruments={ladder.instruments}
                onChange={(instruments) => put({ instruments })}
                nobody="for every instrument"
              />
            </div>
          </div>
          <BeltRow belts={belts} open={open} onOpen={setAt} onAdd={add} />
          {belt && (
            <BeltFields
              key={open}
              belt={belt}
              library={library.data}
              onChange={(changed) => put({ belts: replaced(belts, open, changed) })}
            >
              <Button
                small
                look="quiet"
                aria-label="One lower"
                disabled={open === 0}
                onClick={() => {
                  put({ belts: moved(belts, open, -1) });
                  setAt(open - 1);
                }}
              >
                <ArrowUp size={16} aria-hidden />
              </Button>
              <Button
                small
                look="quiet"
                aria-label="One higher"
                disabled={open === belts.length - 1}
                onClick={() => {
                  put({ belts: moved(belts, open, 1) });
                  setAt(open + 1);
                }}
              >
                <ArrowDown size={16} aria-hidden />
              </Button>
              <Button
                small
                look="quiet"
                aria-label={`Take ${belt.name || "this belt"} off the ladder`}
                onClick={() => put({ belts: without(belts, open) })}
              >
                <Trash2 size={16} aria-hidden />
              </Button>
            </BeltFields>
          )}
        </div>
        <LadderPreview ladderId={ladderId} ladder={ladder} open={open} onOpen={setAt} />
      </div>
      <div className="bg-base-100 hairline sticky bottom-0 mt-4 flex flex-wrap items-center gap-4 border-t-[1.5px] py-3">
        <p className="grow font-semibold" role={save.error ? "alert" : undefined}>
          <span className="text-error">{save.error?.message}</span>
        </p>
        <Button look="quiet" onClick={() => void navigate({ pathname: "/library/ladders", search: kept })}>
          Leave without keeping
        </Button>
        <Button look="primary" type="submit" disabled={save.isPending}>
          {save.isPending ? "Keeping…" : "Keep this ladder"}
        </Button>
      </div>
    </form>
  );
}

interface RowProps {
  belts: readonly BeltForm[];
  open: number;
  onOpen: (at: number) => void;
  onAdd: () => void;
}

/** The ladder, from the lowest belt to the highest. */
function BeltRow({ belts, open, onOpen, onAdd }: RowProps) {
  return (
    <ol aria-label="Belts, from the lowest" className="flex flex-wrap gap-1.5">
      {belts.map((belt, i) => (
        <li key={i}>
          <button
            type="button"
            aria-current={i === open ? "true" : undefined}
            onClick={() => onOpen(i)}
            className={`rounded-lg border-[1.5px] px-2 pt-1 pb-0.5 text-left ${i === open ? "border-base-content" : "border-transparent"}`}
          >
            <BeltStrip belt={belt} width={88} decorative />
            <span className="small block">{belt.name || `belt ${i + 1}`}</span>
          </button>
        </li>
      ))}
      <li>
        <Button small onClick={onAdd} className="mt-1">
          <Plus size={16} aria-hidden /> Belt
        </Button>
      </li>
    </ol>
  );
}
