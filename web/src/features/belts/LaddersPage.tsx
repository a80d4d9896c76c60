import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import { post } from "../../api/http";
import type { KeptLadder } from "../../api/types";
import { instrumentsQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { BeltStrip } from "../../ui/BeltStrip";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { capital } from "../roster/BoardPage";
import { laddersQuery } from "./belts.queries";

/** The ladders of belts there are, and where new ones begin. */
export function LaddersPage() {
  const ladders = useQuery(laddersQuery);
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  if (ladders.isError) return <Failed error={ladders.error} again={() => void ladders.refetch()} />;
  if (!ladders.data) return <Skeleton rows={8} />;
  return (
    <>
      <Heading title="Ladders" words="Nobody loses a belt through an edit.">
        <Link className={looks.smallPrimary} to={{ pathname: "/library/ladders/new", search: kept }}>
          New ladder
        </Link>
      </Heading>
      {ladders.data.length === 0 && (
        <Empty>No ladder yet. A new one can be drawn from a book&rsquo;s pages in a minute.</Empty>
      )}
      <div className="grid gap-7">
        {ladders.data.map((ladder) => (
          <Ladder key={ladder.id} ladder={ladder} kept={kept} />
        ))}
      </div>
    </>
  );
}

function Ladder({ ladder, kept }: { ladder: KeptLadder; kept: string }) {
  const instruments = useQuery(instrumentsQuery);
  const [sure, setSure] = useState(false);
  const client = useQueryClient();
  const toast = useToast();
  const retire = useMutation({
    mutationFn: () => post<void>(at("/api/ladders/{ladderId}/retire", { ladderId: ladder.id }), {}),
    onSuccess: async () => {
      toast(`The ${ladder.name} ladder is off the shelf; what was earned stays`);
      await client.invalidateQueries({ queryKey: ["library"] });
      await client.invalidateQueries({ queryKey: ["progress"] });
    },
  });
  const whom =
    ladder.instruments.length === 0
      ? "everybody"
      : ladder.instruments
          .map((code) => instruments.data?.find((one) => one.code === code)?.name.toLowerCase() ?? code)
          .join(", ");
  const path = `/library/ladders/${ladder.id}`;
  return (
    <section aria-label={`${ladder.name} ladder`} className={ladder.retiredOn ? "opacity-75" : undefined}>
      <div className="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h2 className="text-[1.3rem]">{capital(ladder.name)}</h2>
        <p className="small soft grow">
          for {whom}
          {ladder.editions > 0 && ` · asked otherwise before, ${counted(ladder.editions, "time")}`}
          {ladder.retiredOn && ` · off the shelf since ${ladder.retiredOn}`}
        </p>
        {!ladder.retiredOn && (
          <Link className={looks.smallButton} to={{ pathname: path, search: kept }}>
            Edit
          </Link>
        )}
        {!ladder.retiredOn && (
          <Link
            className={looks.smallQuiet}
            to={{ pathname: "/library/ladders/new", search: `${kept ? `${kept}&` : "?"}copy=${ladder.id}` }}
          >
            Copy
          </Link>
        )}
        {!ladder.retiredOn && (
          <Button small look="quiet" onClick={() => setSure(true)}>
            Retire
          </Button>
        )}
      </div>
      {sure && !ladder.retiredOn && (
        <p className="mb-2 flex flex-wrap items-center gap-3">
          Nobody works on it any more; belts that were earned stay worn.
          <Button small look="primary" disabled={retire.isPending} onClick={() => retire.mutate()}>
            Retire it
          </Button>
          <Button small look="quiet" onClick={() => setSure(false)}>
            Keep it
          </Button>
        </p>
      )}
      {retire.isError && <Failed error={retire.error} />}
      <ol className="flex flex-wrap gap-x-2 gap-y-2">
        {ladder.belts.map((belt) => (
          <li key={belt.id}>
            <BeltStrip belt={belt} width={126} />
            <span className="small mt-0.5 block">{belt.name}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
