import type { StaffProps } from "../features/line/Staff";

/** Notation as its words: a page of tests measures nothing, so that nothing could be drawn. */
export default function StaffInWords({ label, brackets, measures, onMeasure }: StaffProps) {
  return (
    <>
      <div role="img" aria-label={label}>
        {brackets.map((bracket) => bracket.label).join("|")}
      </div>
      {measures?.map(({ number, marked }) => (
        <button
          key={number}
          type="button"
          aria-pressed={marked}
          aria-label={`Measure ${number}`}
          onClick={() => onMeasure?.(number)}
        />
      ))}
    </>
  );
}
