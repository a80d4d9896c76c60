import type { PodiumClass } from "../../api/types";
import { duration } from "../../app/days";
import { decideTitle, verdictWords } from "./decide";

interface Props {
  podiumClass: PodiumClass;
  onOpen: () => void;
}

/** Another class of the day in a few words: when, how much there is to hear, what is most pressing to decide. */
export function FoldedClass({ podiumClass: c, onOpen }: Props) {
  const hear = c.hear[0];
  const decide = c.decide[0];
  return (
    <li className="border-b border-[var(--hairline)] py-2">
      <button type="button" onClick={onOpen} className="hover:bg-base-200 w-full rounded-md text-left">
        <span className="small soft block">
          {c.startsAt} · period {c.period}
          {c.away > 0 && ` · ${c.away} away`}
        </span>
        <span className="display block text-[1.05rem] font-semibold">{c.name}</span>
        <span className="small soft block">
          {hear
            ? `${hear.kind === "LINE" ? `line ${hear.shortName}` : hear.title}: ${hear.open} to hear, ${duration(hear.seconds)}`
            : "nothing to hear"}
        </span>
        {decide && (
          <span className="small text-primary block font-semibold">
            {decideTitle(decide)}: {verdictWords[decide.advised]}
          </span>
        )}
        {c.pain.length > 0 && (
          <span className="small block font-semibold">pain reported: {c.pain.length}</span>
        )}
      </button>
    </li>
  );
}
