import type { Folder } from "../../api/types";
import { shortDay } from "../../app/days";
import { ProgressMark } from "../../ui/ProgressMark";
import { milestoneName } from "../hear/HearPage";
import { tryWords, type FolderTry } from "./tryWords";

type Milestones = Folder["instruments"][number]["milestones"];

/** Open ones first, as what is next; then what is done, latest first. */
export function FolderMilestones({ milestones }: { milestones: Milestones }) {
  const isOpen = (m: Milestones[number]) => ["SET", "TRIED", "RECORDING_WAITING"].includes(m.standing.state);
  const groups = [
    { name: "Next", items: milestones.filter(isOpen) },
    { name: "Done", items: milestones.filter((m) => !isOpen(m)) },
  ].filter((group) => group.items.length > 0);
  return (
    <div className="grid gap-x-10 gap-y-5 xl:grid-cols-2">
      {groups.map((group) => (
        <div key={group.name}>
          <h3 className="soft mb-1 font-sans text-[0.9rem] font-normal tracking-normal">{group.name}</h3>
          <ul>
            {group.items.map((m) => (
              <li
                key={m.milestoneId}
                className="grid grid-cols-[40px_1fr_auto] items-start gap-x-2 border-b border-[var(--hairline)] py-1.5"
              >
                <ProgressMark {...m.standing} />
                <div className="min-w-0">
                  <span className="font-semibold">{milestoneName(m)}</span>
                  <ol className="small soft">
                    {m.tries.map((t) => (
                      <TryLine key={t.id} attempt={t} />
                    ))}
                  </ol>
                </div>
                <span className="small soft whitespace-nowrap">
                  {m.standing.passedOn
                    ? shortDay(m.standing.passedOn)
                    : m.dueOn
                      ? `due ${shortDay(m.dueOn)}`
                      : ""}
                </span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </div>
  );
}

function TryLine({ attempt: t }: { attempt: FolderTry }) {
  return (
    <li className={t.corrected ? "line-through decoration-1" : ""}>
      {shortDay(t.heardOn)}: {tryWords(t)}
    </li>
  );
}
