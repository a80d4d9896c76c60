import type { Player, PlayingTest, Run } from "../../api/types";
import { Chip } from "../../ui/parts";

/** What is played of a test and under which conditions, as short as it can be said. */
export function TestCard({ run, player, test }: { run: Run; player: Player; test: PlayingTest | undefined }) {
  const tone = test?.tones.find((one) => one.instrument === player.instrument);
  const several = (test?.parts.length ?? 0) > 1;
  return (
    <div className="mt-1.5 mb-2 flex flex-wrap items-center gap-x-2 gap-y-1">
      {player.writtenKey && (
        <Chip>
          <b>{player.writtenKey}</b>
        </Chip>
      )}
      {tone && (
        <Chip>
          checks <b>{tone.written.replace(/ \d$/, "")}</b>
        </Chip>
      )}
      {test?.parts.map((part, i) => {
        const words = [several ? part.title : "", part.measures ?? "", ...part.otherwise].filter(Boolean);
        return words.length > 0 && <Chip key={i}>{words.join(", ")}</Chip>;
      })}
      <span className="small soft">
        {(test ? test.conditions : [run.milestone.conditions ?? ""])
          .filter((words) => !words.startsWith("Pitch check"))
          .join(" · ")}
      </span>
    </div>
  );
}
