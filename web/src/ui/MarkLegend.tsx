import type { MarkState } from "./markWords";
import { ProgressMark } from "./ProgressMark";

const entries: { state: MarkState; tries?: number; carriedOver?: boolean; words: string }[] = [
  { state: "SET", words: "set" },
  { state: "TRIED", tries: 2, words: "tried twice" },
  { state: "PASSED", words: "passed" },
  { state: "PASSED_BY_SUBSTITUTE", words: "by substitute" },
  { state: "EXCUSED", words: "excused" },
  { state: "RECORDING_WAITING", words: "recording waits" },
  { state: "SET", carriedOver: true, words: "carried over" },
];

export function MarkLegend() {
  return (
    <ul className="small soft flex flex-wrap gap-x-5 gap-y-1" aria-label="What the marks mean">
      {entries.map((entry) => (
        <li key={entry.words} className="flex items-center gap-1.5">
          <span className="text-base-content">
            <ProgressMark {...entry} size={14} decorative />
          </span>
          {entry.words}
        </li>
      ))}
    </ul>
  );
}
