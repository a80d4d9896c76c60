import { OpenSheetMusicDisplay } from "opensheetmusicdisplay";
import type { GraphicalMeasure } from "opensheetmusicdisplay";
import clsx from "clsx";
import { useEffect, useRef, useState } from "react";
import type { Finger } from "../../api/types";
import { HoleChart } from "./HoleChart";
import { fingerAt, underOf, type Bracket, type Under } from "./line";

interface Box {
  left: number;
  top: number;
  bottom: number;
  width: number;
  height: number;
}

/** Where a note stands, and when it comes in its measure. */
interface Spot {
  measure: number;
  beat: number;
  left: number;
  /** Below everything the staff holds. */
  top: number;
}

export interface StaffProps {
  musicXml: string;
  /** What stands under the notes, by measure. */
  fingers?: readonly (readonly Finger[])[];
  under?: Under;
  label: string;
  brackets: readonly Bracket[];
  /** Index of the measure that sounds. */
  sounding?: number;
  /** Each measure's number on the page, and whether something is noted in it; only where they can be tapped. */
  measures?: readonly { number: number; marked: boolean }[];
  onMeasure?: (number: number) => void;
}

const PIXELS_PER_UNIT = 10;
const BEATS_PER_WHOLE = 4;
/** Units kept free under a staff that carries fingerings. */
const FINGER_ROOM = 8;

/** Notation, with brackets and labels under the staff; note-heads are never coloured by anything. */
export default function Staff({
  musicXml,
  label,
  brackets,
  sounding,
  fingers,
  under = "FINGERS",
  measures,
  onMeasure,
}: StaffProps) {
  const room = fingers && fingers.length > 0;
  const holder = useRef<HTMLDivElement>(null);
  const [boxes, setBoxes] = useState<readonly Box[]>([]);
  const [spots, setSpots] = useState<readonly Spot[]>([]);
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
    // Every measure stands for itself, so that brackets, fingerings and the place that sounds find theirs.
    sheet.EngravingRules.AutoGenerateMultipleRestMeasuresFromRestMeasures = false;
    sheet.EngravingRules.PageTopMargin = 1;
    sheet.EngravingRules.PageBottomMargin = 1;
    sheet.EngravingRules.PageLeftMargin = 1;
    if (room) {
      sheet.EngravingRules.MinimumDistanceBetweenSystems += FINGER_ROOM;
      sheet.EngravingRules.PageBottomMargin += FINGER_ROOM;
    }
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
              bottom: bottomOf(staves[0]!, scale),
              width: shape.Size.width * scale,
              height: 4 * scale,
            };
          }),
        );
        setSpots(spotsOf(sheet, scale));
        setFailed(undefined);
      })
      .catch((error: unknown) => !gone && setFailed(String(error)));
    return () => {
      gone = true;
      place.replaceChildren();
    };
  }, [musicXml, room]);
  const tall =
    under === "FINGERS" && fingers?.some((measure) => measure.some((finger) => finger.holes !== undefined));
  const now = sounding === undefined ? undefined : boxes[sounding];
  const drawn = (
    <div className="relative" role="img" aria-label={label}>
      {now && (
        <div
          aria-hidden
          className="absolute rounded-md bg-[var(--now)] opacity-20"
          style={{ left: now.left, top: now.top - 14, width: now.width, height: now.height + 28 }}
        />
      )}
      <div ref={holder} className="[&_svg]:max-w-full" />
      {room &&
        spots.map((spot, i) => {
          const finger = fingerAt(fingers[spot.measure], spot.beat);
          return (
            finger &&
            underOf(finger, under) && (
              <span
                key={i}
                aria-hidden
                className={clsx(
                  "absolute -translate-x-1/2 text-[0.92rem] leading-none font-semibold",
                  under === "FINGERS" &&
                    finger.marked !== "NOTHING" &&
                    "rounded-sm px-0.5 outline-[1.5px] outline-[var(--now)]",
                )}
                style={{ left: spot.left, top: spot.top + 6 }}
              >
                {under === "FINGERS" && finger.holes !== undefined ? (
                  <HoleChart holes={finger.holes} keys={finger.keys} />
                ) : (
                  underOf(finger, under)
                )}
              </span>
            )
          );
        })}
      {failed && <p className="text-error">The notation could not be drawn: {failed}</p>}
      {brackets.map((bracket) => {
        const box = boxes[bracket.measure];
        return (
          box && (
            <div
              key={bracket.measure}
              aria-hidden
              className={clsx(
                "absolute border-x-2 border-b-2 border-[var(--now)] text-center text-[0.78rem] leading-none",
                bracket.spot && "border-dashed",
              )}
              style={{
                left: box.left + 3,
                top: room ? box.bottom + (tall ? 66 : 30) : box.top + box.height + 22,
                width: Math.max(12, box.width - 6),
                height: 6,
              }}
            >
              <span
                className={clsx(
                  "bg-base-100 relative top-2 rounded-sm px-1 whitespace-nowrap",
                  !bracket.spot && "font-semibold",
                )}
              >
                {bracket.label}
              </span>
            </div>
          )
        );
      })}
    </div>
  );
  if (!measures || !onMeasure) return drawn;
  return (
    <div className="relative">
      {drawn}
      {measures.map(({ number, marked }, i) => {
        const box = boxes[i];
        return (
          box && (
            <button
              key={i}
              type="button"
              // The keys of the desk do for most; a measure is tapped.
              tabIndex={-1}
              aria-pressed={marked}
              aria-label={`Measure ${number}`}
              onClick={() => onMeasure(number)}
              className={clsx(
                "absolute rounded-md",
                marked ? "border-2 border-[var(--now)]" : "hover:bg-[var(--now)] hover:opacity-15",
              )}
              style={{ left: box.left, top: box.top - 10, width: box.width, height: box.height + 20 }}
            />
          )
        );
      })}
    </div>
  );
}

/** How far down the staff of a measure reaches, ledger lines and stems included. */
function bottomOf(measure: GraphicalMeasure, scale: number): number {
  const line = measure.ParentStaffLine;
  const top = line?.PositionAndShape.AbsolutePosition.y ?? measure.PositionAndShape.AbsolutePosition.y;
  return (top + Math.max(4, ...(line?.BottomLine ?? []))) * scale;
}

function spotsOf(sheet: OpenSheetMusicDisplay, scale: number): Spot[] {
  return sheet.GraphicSheet.MeasureList.flatMap((staves, measure) => {
    const staff = staves[0]!;
    return staff.staffEntries.map((entry) => ({
      measure,
      beat: entry.relInMeasureTimestamp.RealValue * BEATS_PER_WHOLE,
      left: entry.PositionAndShape.AbsolutePosition.x * scale,
      top: bottomOf(staff, scale),
    }));
  });
}
