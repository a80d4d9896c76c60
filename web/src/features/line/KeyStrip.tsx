import clsx from "clsx";
import type { SectionReading } from "../../api/types";
import { useScope } from "../../app/scope";

/** The key every section of the class reads, side by side; a press shows the line as that section reads it. */
export function KeyStrip({
  readers,
  concertKey,
}: {
  readers: readonly SectionReading[];
  concertKey: string;
}) {
  const { scope, choose } = useScope();
  return (
    <ul aria-label="Keys by section" className="flex flex-wrap gap-1.5">
      <Key
        name="Concert"
        words={concertKey}
        on={!scope.instrument}
        onPress={() => choose({ instrument: "", division: "", family: "" })}
      />
      {readers.map((reader) => (
        <Key
          key={reader.instrument}
          name={reader.name}
          words={reader.writtenKey}
          on={scope.instrument === reader.instrument}
          onPress={() => choose({ instrument: reader.instrument, division: "", family: "" })}
        />
      ))}
    </ul>
  );
}

function Key({
  name,
  words,
  on,
  onPress,
}: {
  name: string;
  words: string;
  on: boolean;
  onPress: () => void;
}) {
  return (
    <li>
      <button
        type="button"
        aria-pressed={on}
        onClick={onPress}
        className={clsx(
          "rounded-lg border-[1.5px] px-2 py-0.5 text-left text-[0.88rem]",
          on ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
        )}
      >
        <span className={clsx(!on && "soft")}>{name}</span> <b>{words}</b>
      </button>
    </li>
  );
}
