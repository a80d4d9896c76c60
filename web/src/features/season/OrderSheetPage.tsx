import { useQuery } from "@tanstack/react-query";
import { CalendarDays, Printer } from "lucide-react";
import { at } from "../../api/at";
import type { OrderSheet } from "../../api/types";
import { span, weekday } from "../../app/days";
import { familyOf } from "../../app/queries";
import { familyHue, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { orderSheetQuery } from "./season.queries";

/** The week's orders as each section reads them: its key, its place, its drill. Prints on one or two sheets. */
export function OrderSheetPage() {
  const { scope, allClasses, week } = useScope();
  const sheet = useQuery(orderSheetQuery(scope.classId, week));
  const family = useQuery(familyOf);
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
  const empty = parts.every((part) => part.items.length === 0);
  return (
    <>
      <Heading title={`Order sheet, ${className}`} words={span(monday, friday)}>
        <a
          className={`${looks.button} h-10 font-semibold print:hidden`}
          href={at("/api/season/due.ics", {}, { classId: scope.classId })}
          title="Every due day and test of this class and year, for other calendars"
          download
        >
          <CalendarDays size={17} aria-hidden /> Due days
        </a>
        <Button onClick={() => window.print()}>
          <Printer size={17} aria-hidden /> Print
        </Button>
      </Heading>
      {empty && <Empty>Nothing is set for this week.</Empty>}
      {!empty && (
        <ul className="gap-x-8 md:columns-2 xl:columns-3 print:columns-2">
          {parts.map((part) => (
            <li
              key={part.instrument + part.division}
              className="mb-6 break-inside-avoid border-t-[3px] pt-2"
              style={{ borderColor: familyHue[family.data?.get(part.instrument) ?? "WOODWIND"] }}
            >
              <h2 className="text-[1.25rem]">
                {part.name}
                {part.division && `, ${part.division}`}
                <span className="small soft ml-2 font-sans font-normal">{part.students}</span>
              </h2>
              {part.items.length === 0 && <p className="soft">Nothing this week.</p>}
              <ul>
                {part.items.map((item) => (
                  <Item key={item.title} item={item} />
                ))}
              </ul>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function Item({ item }: { item: OrderSheet["parts"][number]["items"][number] }) {
  return (
    <li className="border-b border-[var(--hairline)] py-1.5">
      <span className="grid grid-cols-[1fr_auto] gap-x-3">
        <b>{item.title}</b>
        <span className="small soft whitespace-nowrap">by {weekday(item.dueOn)}</span>
      </span>
      <span className="block">
        {item.line}
        {item.writtenKey && ` in ${item.writtenKey}`}
      </span>
      {(item.place ?? item.pattern) && (
        <span className="block">
          {item.place}
          {item.pattern && <span className="soft"> · {item.pattern}</span>}
        </span>
      )}
      {item.drill && <span className="soft block">{item.drill}</span>}
    </li>
  );
}
