import type { Pieces } from "../../api/types";
import { noteName } from "../../ui/notes";
import { counted } from "../../ui/words";

type PieceSection = Pieces["pieces"][number]["sections"][number];

/** Sections down, candidates across: what each piece would still have to be taught. */
export function PiecesTable({ compared }: { compared: Pieces }) {
  const cell = "border-t border-[var(--hairline)] py-1.5 pr-5 align-top";
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Candidates by section">
      <table className="w-full border-separate border-spacing-0">
        <thead>
          <tr className="text-left align-bottom">
            <th scope="col" className="soft small pr-5 font-normal">
              Section
            </th>
            {compared.pieces.map((piece) => (
              <th key={piece.lineId} scope="col" className="min-w-40 pr-5 pb-1">
                {piece.title}
                <span className="soft small block font-normal">
                  {piece.concertKey}, {counted(piece.measures, "measure")}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {compared.sections.map((section) => (
            <tr key={section.instrument}>
              <th scope="row" className={`${cell} text-left font-semibold whitespace-nowrap`}>
                {section.instrumentName}
              </th>
              {compared.pieces.map((piece) => (
                <td key={piece.lineId} className={cell}>
                  <Asks of={piece.sections.find((one) => one.instrument === section.instrument)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Asks({ of }: { of: PieceSection | undefined }) {
  if (!of) return <span className="soft">its notes are not known</span>;
  return (
    <>
      {of.toTeach.length > 0 ? (
        <>
          <b>{of.toTeach.map(noteName).join(" ")}</b>{" "}
          <span className={of.fits ? "small" : "small text-error font-semibold"}>
            {counted(of.weeks, "week")}
            {!of.fits && ", too many"}
          </span>
        </>
      ) : (
        <span className="soft">{of.coming > 0 ? "its notes come by themselves" : "every note is known"}</span>
      )}
      {of.toTeach.length > 0 && of.coming > 0 && (
        <span className="small soft block">{counted(of.coming, "new note")} by itself</span>
      )}
      {of.others.length > 0 && <span className="small soft block">also new: {of.others.join("; ")}</span>}
    </>
  );
}
