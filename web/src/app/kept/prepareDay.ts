import type { FetchQueryOptions, QueryClient, QueryKey } from "@tanstack/react-query";
import { checkQuery } from "../../features/library/checks.queries";
import { choicesQuery, runQuery } from "../../features/hear/hear.queries";
import { lineNotesQuery } from "../../features/line/line.queries";
import { podiumQuery } from "../../features/podium/podium.queries";
import { loadNotation } from "../loadNotation";
import { meQuery, railQuery } from "../queries";
import type { Choice, PodiumView, Run } from "../../api/types";
import { reach } from "../../api/reach";
import type { KeptReads } from "./keptReads";

/** As many of a class's choices as a period can hold; ours. */
const MOST_RUNS = 5;

/** What was read within the hour is not read again. */
const FRESH = 60 * 60_000;

type Wanted = { queryKey: QueryKey };

/**
 * Reads ahead what the classes of today are heard with, one thing after another, so that it is there when the network is
 * not. Stops where the server goes away.
 */
export async function prepareDay(client: QueryClient, kept: KeptReads): Promise<void> {
  /** What is kept of it, else read now; undefined where neither can be. */
  const want = async <T>(query: Wanted): Promise<T | undefined> => {
    const known = await kept.known<T>(query.queryKey, FRESH);
    if (known !== undefined || reach.isAway()) return known;
    return client
      .fetchQuery({ ...query, retry: false, staleTime: 0 } as FetchQueryOptions<T>)
      .catch(() => undefined);
  };
  const me = await client.fetchQuery(meQuery).catch(() => undefined);
  const podium = me && (await want<PodiumView>(podiumQuery(me.today)));
  if (!podium) return;
  await loadNotation().catch(() => undefined);
  for (const { classId } of podium.classes) {
    await want(railQuery(classId));
    const choices = (await want<Choice[]>(choicesQuery({ classId }))) ?? [];
    for (const choice of choices.filter((one) => one.open > 0).slice(0, MOST_RUNS)) {
      const run = await want<Run>(runQuery(choice.milestoneId, { classId }));
      if (run) for (const query of readWith(run)) await want(query);
    }
  }
}

/** What the desk shows beside each student of a run. */
function readWith(run: Run): readonly Wanted[] {
  const { line } = run.milestone;
  if (run.milestone.kind === "TECHNIQUE_CHECK") return [checkQuery(run.milestone.id)];
  if (!line) return [];
  const open = new Set(run.queue);
  const players = run.players.filter((player) => open.has(player.studentId));
  const keys = new Map(players.map((p) => [`${p.instrument} ${p.classId} ${p.division}`, p]));
  return [...keys.values()].map((p) =>
    lineNotesQuery(line.lineId, p.instrument, p.classId, { division: p.division || undefined }),
  );
}
