import { useQuery } from "@tanstack/react-query";
import { FileDown, Presentation, Printer } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { at } from "../../api/at";
import type { OrderSheet } from "../../api/types";
import { span, weekday } from "../../app/days";
import { familyOf } from "../../app/queries";
import { familyHue, scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, Kbd, Skeleton } from "../../ui/parts";
import { orderSheetQuery } from "./season.queries";
import { SheetProjector } from "./SheetProjector";
import { useKeys } from "../../app/useKeys";

type Part = OrderSheet["parts"][number];
type SheetItem = Part["items"][number];

/** The week's orders as each section reads them: its key, what is new, what misleads, its place, its drill. */
export function OrderSheetPage() {
  const { scope, allClasses, week, search } = useScope();
  const sheet = useQuery(orderSheetQuery(scope.classId, week));
  const family = useQuery(familyOf);
  const [projected, setProjected] = useState(false);
  useKeys({ b: () => setProjected(true) });
  if (allClasses) return <Empty>Choose a class at the left for its order sheet.</Empty>;
  if (sheet.isError) return <Failed error={sheet.error} again={() => void sheet.refetch()} />;
  if (!sheet.data) return <Skeleton rows={9} />;
  const { className, monday, friday } = sheet.data;
  const parts = sheet.data.parts.filter(
    (part) =>
      (!scope.instrument || part.instrument === scope.instrument) &&
      (!scope.division || part.division === scope.division) &&
      (!scope.family || family.data?.get(part.instrument) === scope.family),
  );
  const empty = parts.every((part) => part.items.length === 0 && part.carriedOver.length === 0);
  const pdf = (paper: "A4" | "A5") =>
    at("/api/season/sheet/sheet.pdf", {}, { classId: scope.classId, on: monday, paper });
  return (
    <>
      <Heading title={`Order sheet, ${className}`} words={span(monday, friday)}>
        <Button onClick={() => setProjected(true)}>
          <Presentation size={17} aria-hidden /> On the board <Kbd>B</Kbd>
        </Button>
        <a className={`${looks.button} h-10 font-semibold`} href={pdf("A4")} download>
          <FileDown size={17} aria-hidden /> PDF
        </a>
        <a
          className={`${looks.button} h-10 font-semibold`}
          href={pdf("A5")}
          title="A page for each section, to glue in"
          download
        >
          <FileDown size={17} aria-hidden /> A5
        </a>
        <Button onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print
        </Button>
        <Link
          className={`${looks.button} h-10 font-semibold`}
          to={{ pathname: "/season/files", search: scopeSearch(search, {}) }}
        >
          Due days
        </Link>
      </Heading>
      {empty && <Empty>Nothing is set for this week.</Empty>}
      {!empty && (
        <ul className="gap-x-8 md:columns-2 xl:columns-3 print:columns-2">
          {parts.map((part) => (
            <SectionPart
              key={part.instrument + part.division}
              part={part}
              hue={familyHue[family.data?.get(part.instrument) ?? "WOODWIND"]}
            />
          ))}
        </ul>
      )}
      {projected && <SheetProjector sheet={sheet.data} parts={parts} onClose={() => setProjected(false)} />}
    </>
  );
}

function SectionPart({ part, hue }: { part: Part; hue: string }) {
  return (
    <li className="mb-6 break-inside-avoid border-t-[3px] pt-2" style={{ borderColor: hue }}>
      <h2 className="text-[1.25rem]">
        {part.name}
        {part.division && `, ${part.division}`}
        <span className="small soft ml-2 font-sans font-normal">{part.students}</span>
      </h2>
      {part.items.length === 0 && <p className="soft">Nothing this week.</p>}
      <ul>
        {part.items.map((item) => (
          <Item key={item.milestoneId} item={item} instrument={part.instrument} />
        ))}
      </ul>
      {part.carriedOver.length > 0 && (
        <p className="small mt-1.5">
          <span className="soft">Carried over:</span>{" "}
          {part.carriedOver.map((c) => `${c.title} (${c.students})`).join(", ")}
        </p>
      )}
      {part.care && (
        <p className="small mt-0.5">
          <span className="soft">Care this week:</span> {part.care}
        </p>
      )}
    </li>
  );
}

function Item({ item, instrument }: { item: SheetItem; instrument: string }) {
  const { search } = useScope();
  const card = scopeSearch(search, { instrument });
  return (
    <li className="border-b border-[var(--hairline)] py-1.5">
      <span className="grid grid-cols-[1fr_auto] gap-x-3">
        <b>{item.title}</b>
        <span className="small soft whitespace-nowrap">
          {item.heard ? "heard, by " : "by "}
          {weekday(item.dueOn)}
        </span>
      </span>
      <span className="block">
        {item.lineId ? (
          <Link
            className="decoration-[var(--hairline)] underline-offset-2 hover:underline print:no-underline"
            title="With notes, to print"
            to={{
              pathname: `/library/lines/${item.lineId}/card`,
              search: item.place ? `${card}&place=${encodeURIComponent(item.place)}` : card,
            }}
          >
            {item.line}
            {item.writtenKey && ` in ${item.writtenKey}`}
          </Link>
        ) : (
          <>
            {item.line}
            {item.writtenKey && ` in ${item.writtenKey}`}
          </>
        )}
        {item.comingIn && <span className="soft">, begins on {item.comingIn}</span>}
      </span>
      {(item.place ?? item.pattern) && (
        <span className="block">
          {item.place}
          {item.pattern && <span className="soft"> · {item.pattern}</span>}
        </span>
      )}
      {item.fingers.map((finger) => (
        <span key={finger} className="small block">
          {finger}
        </span>
      ))}
      {item.news.length > 0 && (
        <span className="block">
          <b className="text-[var(--brass)]">New</b> {item.news.join("; ")}
        </span>
      )}
      {item.roadmap && (
        <span className="block">
          <span className="soft">Played</span> {item.roadmap}
        </span>
      )}
      {item.traps.map((trap) => (
        <span key={trap} className="block">
          {trap}
        </span>
      ))}
      {item.rehearsed.map((stage) => (
        <span key={stage} className="block">
          <span className="soft">This week </span>
          {stage}
        </span>
      ))}
      {item.applies.map((words) => (
        <span key={words} className="soft block">
          {words}
        </span>
      ))}
      {[item.tip, item.trouble, item.drill].map(
        (words) =>
          words && (
            <span key={words} className="soft block">
              {words}
            </span>
          ),
      )}
      {item.substituteAccepted && <span className="soft block">A piece of your own instead is welcome.</span>}
    </li>
  );
}
