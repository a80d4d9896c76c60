import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { post } from "../../api/http";
import type { StarterCheck } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { SelectField } from "../../ui/Field";
import { Button, Empty, Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { startersQuery } from "./checks.queries";
import { CheckSheet } from "./CheckSheet";
import { topicNames } from "./starterShelf";

/** The checks that ship, by instrument and in teaching order: look, then take onto the shelf to order them. */
export function Starters({ director }: { director: boolean }) {
  const instruments = useQuery(instrumentsQuery);
  const { scope } = useScope();
  const [chosen, setChosen] = useState<string>();
  const [open, setOpen] = useState<string>();
  const instrument = chosen ?? scope.instrument ?? instruments.data?.[0]?.code;
  const starters = useQuery(startersQuery(instrument));
  if (starters.isError) return <Failed error={starters.error} again={() => void starters.refetch()} />;
  if (!instruments.data) return <Skeleton rows={10} />;
  return (
    <>
      <div className="mb-3 max-w-72">
        <SelectField
          label="Instrument"
          value={instrument}
          onChange={(event) => {
            setChosen(event.target.value);
            setOpen(undefined);
          }}
        >
          {instruments.data.map((i) => (
            <option key={i.code} value={i.code}>
              {i.name}
            </option>
          ))}
        </SelectField>
      </div>
      {starters.data?.length === 0 && <Empty>No starter check is for this instrument.</Empty>}
      {starters.isPending && <Skeleton rows={9} />}
      <ul className="border-t border-[var(--hairline)]">
        {starters.data?.map((starter) => (
          <StarterRow
            key={starter.key}
            starter={starter}
            director={director}
            open={open === starter.key}
            onOpen={() => setOpen(open === starter.key ? undefined : starter.key)}
          />
        ))}
      </ul>
    </>
  );
}

interface RowProps {
  starter: StarterCheck;
  director: boolean;
  open: boolean;
  onOpen: () => void;
}

function StarterRow({ starter, director, open, onOpen }: RowProps) {
  const client = useQueryClient();
  const toast = useToast();
  const { search } = useScope();
  const take = useMutation({
    mutationFn: () =>
      post<{ milestoneId: string }>(at("/api/checks/starters/{key}/take", { key: starter.key }), {}),
    onSuccess: async () => {
      toast(`${starter.check.title} is on your shelf; order it in Season`);
      await client.invalidateQueries({ queryKey: ["library"] });
    },
  });
  return (
    <li className="border-b border-[var(--hairline)] py-2">
      <div className="grid grid-cols-[1fr_auto] items-center gap-x-4 sm:grid-cols-[11rem_1fr_auto]">
        <span className="soft small hidden sm:block">{topicNames[starter.check.topic]}</span>
        <button
          type="button"
          aria-expanded={open}
          className="text-left font-semibold hover:underline"
          onClick={onOpen}
        >
          {starter.check.title}
        </button>
        {starter.takenAs ? (
          <Link
            className="small"
            to={{ pathname: `/library/checks/${starter.takenAs}`, search: scopeSearch(search, {}) }}
          >
            on your shelf
          </Link>
        ) : (
          director && (
            <Button
              small
              disabled={take.isPending}
              onClick={() => take.mutate()}
              aria-label={`Take ${starter.check.title}`}
            >
              Take
            </Button>
          )
        )}
      </div>
      {take.isError && <Failed error={take.error} />}
      {open && (
        <div className="py-4">
          <CheckSheet check={starter.check} />
        </div>
      )}
    </li>
  );
}
