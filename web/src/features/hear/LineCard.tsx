import type { Milestone, Player } from "../../api/types";
import { Chip } from "../../ui/parts";

/** What is played, as this instrument reads it. */
export function LineCard({
  milestone,
  player,
  countInMeasures,
}: {
  milestone: Milestone;
  player: Player;
  countInMeasures: number;
}) {
  const { line } = milestone;
  return (
    <div className="mt-2.5 mb-3 grid gap-2">
      <div className="flex flex-wrap items-center gap-2">
        {player.writtenKey && (
          <Chip>
            <b>{player.writtenKey}</b> for {player.instrumentName.toLowerCase()}
          </Chip>
        )}
        {line && (
          <>
            <Chip>
              {line.meter}, ♩ = {line.tempoBpm}, {countInMeasures === 1 ? "one measure" : "two measures"} in
            </Chip>
            <Chip>
              {line.playedMeasures === line.measures
                ? `${line.measures} measures`
                : `${line.measures} measures, ${line.playedMeasures} played with repeats`}
            </Chip>
            <Chip>
              {line.book}, page {line.page}
            </Chip>
          </>
        )}
        <Chip>passes by {milestone.passRule}</Chip>
        {player.standing.goodTries > 0 && player.standing.state === "TRIED" && (
          <Chip>{player.standing.goodTries} good so far</Chip>
        )}
      </div>
      {player.carried && (
        <p className="border-base-content rounded-[10px] border-[1.5px] px-3.5 py-2">
          <b>{[player.carried.line, player.carried.place].filter(Boolean).join(", ")}</b>
          {player.carried.pattern && <span> · {player.carried.pattern}</span>}
          {player.carried.drill && <span className="soft block">{player.carried.drill}</span>}
        </p>
      )}
      {milestone.conditions && <p className="soft">{milestone.conditions}.</p>}
    </div>
  );
}
