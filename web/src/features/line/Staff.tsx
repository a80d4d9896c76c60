import { OpenSheetMusicDisplay } from "opensheetmusicdisplay";
import { useEffect, useRef, useState } from "react";

export interface Bracket {
  /** Index of the measure in the line. */
  measure: number;
  label: string;
}

interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

interface Props {
  musicXml: string;
  label: string;
  brackets: readonly Bracket[];
  /** Index of the measure that sounds. */
  sounding?: number;
}

const PIXELS_PER_UNIT = 10;

/** Notation, with brackets and labels under the staff; note-heads are never coloured by anything. */
export default function Staff({ musicXml, label, brackets, sounding }: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const [boxes, setBoxes] = useState<readonly Box[]>([]);
  const [failed, setFailed] = useState<string>();
  useEffect(() => {
    const place = holder.current;
    if (!place) return;
    let gone = false;
    place.replaceChildren();
    const sheet = new OpenSheetMusicDisplay(place, {
      autoResize: false,
      backend: "svg",
      drawTitle: false,
      drawPartNames: false,
      drawComposer: false,
      autoBeam: true,
      drawMetronomeMarks: true,
      defaultColorMusic: "currentColor",
    });
    sheet.EngravingRules.PageTopMargin = 1;
    sheet.EngravingRules.PageBottomMargin = 1;
    sheet.EngravingRules.PageLeftMargin = 1;
    sheet.EngravingRules.DefaultFontFamily = "Atkinson Hyperlegible Next Variable";
    sheet
      .load(musicXml)
      .then(() => {
        if (gone) return;
        sheet.zoom = 0.92;
        sheet.render();
        const scale = PIXELS_PER_UNIT * sheet.zoom;
        setBoxes(
          sheet.GraphicSheet.MeasureList.map((staves) => {
            const shape = staves[0]!.PositionAndShape;
            return {
              left: shape.AbsolutePosition.x * scale,
              top: shape.AbsolutePosition.y * scale,
              width: shape.Size.width * scale,
              height: 4 * scale,
            };
          }),
        );
        setFailed(undefined);
      })
      .catch((error: unknown) => !gone && setFailed(String(error)));
    return () => {
      gone = true;
      place.replaceChildren();
    };
  }, [musicXml]);
  const now = sounding === undefined ? undefined : boxes[sounding];
  return (
    <div className="relative" role="img" aria-label={label}>
      {now && (
        <div
          aria-hidden
          className="absolute rounded-md bg-[var(--now)] opacity-20"
          style={{ left: now.left, top: now.top - 14, width: now.width, height: now.height + 28 }}
        />
      )}
      <div ref={holder} className="[&_svg]:max-w-full" />
      {failed && <p className="text-error">The notation could not be drawn: {failed}</p>}
      {brackets.map((bracket) => {
        const box = boxes[bracket.measure];
        return (
          box && (
            <div
              key={bracket.measure}
              aria-hidden
              className="absolute border-x-2 border-b-2 border-[var(--now)] text-center text-[0.78rem] leading-none"
              style={{
                left: box.left + 3,
                top: box.top + box.height + 22,
                width: Math.max(12, box.width - 6),
                height: 6,
              }}
            >
              <span className="bg-base-100 relative top-2 rounded-sm px-1 font-semibold">
                {bracket.label}
              </span>
            </div>
          )
        );
      })}
    </div>
  );
}
