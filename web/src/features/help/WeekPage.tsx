import type { ReactNode } from "react";
import { Button, Heading } from "../../ui/parts";

/** How a week goes with this tool: two printed pages for a director who has no time to read. */
export function WeekPage() {
  return (
    <article className="max-w-[60rem] print:max-w-none print:text-[11pt]">
      <Heading title="How a week goes" words="two pages; one for before the week, one for in it">
        <Button small look="primary" onClick={() => window.print()}>
          Print
        </Button>
      </Heading>
      <div className="grid gap-x-10 gap-y-4 md:grid-cols-2 print:block">
        <section>
          <h2 className="mb-2 text-[1.3rem]">Before the week</h2>
          <Steps>
            <Step when="Thursday, 5 minutes" what="Look at what is open">
              Roster, Board: the rings that are still empty are not heard, the halves are not yet. Nothing
              needs to be typed; a carry-over stays next to the new ones by itself.
            </Step>
            <Step when="Thursday, 10 minutes" what="Order the next page">
              Season, <b>O</b>: tick the lines, the one that is heard, and a check. Tutti, due at the last
              meeting of the week. A section that is not ready keeps its own: choose it at the left first.
            </Step>
            <Step when="Friday, 2 minutes" what="Print the order sheets">
              Season, Order sheet: each section has its key, its new note with fingering, what is heard and by
              when.
            </Step>
            <Step when="whenever school changes" what="Tell the year">
              A lost day is one press on the podium; a moved break is a drag in Office. Due days follow.
            </Step>
            <Step when="if you are away" what="Leave a plan">
              Podium, Plan for whoever stands in: print it. Invite the substitute teacher with a link that is
              good once.
            </Step>
            <Step when="if somebody is new" what="Seat them">
              Roster, Students, Add a student. Season, First weeks: next Monday they begin with the same
              checks.
            </Step>
          </Steps>
        </section>
        <section className="print:break-before-page">
          <h2 className="mb-2 text-[1.3rem]">In the week</h2>
          <Steps>
            <Step when="as the bell rings" what="Podium">
              The classes of the day stand in order: open with, teach, hear, look after.
            </Step>
            <Step when="8 minutes" what="Warm up">
              Press the warm-up; it counts, plays and shows the music of each part.
            </Step>
            <Step when="half of the rest" what="Teach the line">
              Open it: key and new notes of every section, traps under the staff, a practice ladder that fits
              your minutes.
            </Step>
            <Step when="the other half" what="Hear">
              Press what stands under Hear. <b>Enter</b> passed, <b>Space</b> not yet, <b>A</b> absent,{" "}
              <b>U</b> undo. Who waited longest comes first. A check on everybody: <b>S</b>, then tap only the
              faults.
            </Step>
            <Step when="no Wi-Fi" what="Go on">
              Marks are kept on the device and sent when the server answers; the bar says how many wait.
            </Step>
            <Step when="something hurts" what="Stop, and keep it">
              <b>P</b> keeps what the student said. Ask where and since when, tell the family; lasting trouble
              goes to a doctor. Nobody plays on with pain.
            </Step>
            <Step when="Friday" what="Decide">
              Under 50 % passed a section stays; from 80 % with nobody unheard it goes on; between, the names
              for catch-up stand on the board.
            </Step>
          </Steps>
          <p className="mt-4 border-t-[1.5px] border-current pt-2">
            Not heard is not failed. A pass counts on that instrument in whichever class it was heard. Nothing
            that was recorded is ever changed: a correction stands beside it and says why.
          </p>
        </section>
      </div>
    </article>
  );
}

function Steps({ children }: { children: ReactNode }) {
  return <ol className="grid gap-2.5">{children}</ol>;
}

function Step({ when, what, children }: { when: string; what: string; children: ReactNode }) {
  return (
    <li className="grid grid-cols-[8.5rem_1fr] gap-x-3">
      <span className="small soft pt-0.5">{when}</span>
      <span>
        <b>{what}.</b> {children}
      </span>
    </li>
  );
}
