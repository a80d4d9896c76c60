import { useQuery } from "@tanstack/react-query";
import type { OrderSheet, PodiumClass } from "../../api/types";
import { familyHue } from "../../app/scope";
import { orderSheetQuery } from "../season/season.queries";

interface Props {
  podiumClass: PodiumClass;
  day: string;
  milestoneId: string;
}

type Item = OrderSheet["parts"][number]["items"][number];

/** One line for each section: its key, and the one thing to say before it plays. */
export function TeachBrief({ podiumClass: c, day, milestoneId }: Props) {
  const sheet = useQuery({ ...orderSheetQuery(c.classId, day), staleTime: 10 * 60_000 });
  const family = new Map(c.sections.map((section) => [section.instrument, section.family]));
  const rows = (sheet.data?.parts ?? []).flatMap((part) => {
    const item = part.items.find((one) => one.milestoneId === milestoneId);
    return item ? [{ part, item }] : [];
  });
  return (
    <table className="w-full table-fixed text-[0.92rem]">
      <tbody>
        {rows.slice(0, MOST).map(({ part, item }) => (
          <tr key={part.instrument + part.division} className="border-b border-[var(--hairline)]">
            <td
              className="w-[9.5rem] py-[2px] pl-2"
              style={{ borderLeft: `4px solid ${familyHue[family.get(part.instrument) ?? "WOODWIND"]}` }}
            >
              {part.name}
            </td>
            <td className="w-16 font-semibold whitespace-nowrap">{shortKey(item.writtenKey)}</td>
            <td className="truncate" title={say(item)}>
              {say(item)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** More sections than this are on the order sheet. */
const MOST = 9;

const shortKey = (key: string | undefined) =>
  key?.replace(" major", "").replace("-flat", "♭").replace("-sharp", "♯");

/** The first that matters: what is new, where it goes wrong, how it comes in. */
const say = (item: Item) =>
  [item.news[0] && `new: ${item.news[0]}`, item.traps[0] ?? item.trouble ?? item.tip ?? item.comingIn]
    .filter(Boolean)
    .join(" · ");
