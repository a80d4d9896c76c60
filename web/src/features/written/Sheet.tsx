import { useQuery } from "@tanstack/react-query";
import type { WrittenSheet } from "../../api/types";
import { lineNotesQuery } from "../line/line.queries";
import { Notation } from "../line/Notation";
import { useScope } from "../../app/scope";
import { byLine } from "./written";

/** The sheet to hand out: each line as the section reads it, and what is asked about it. */
export function QuestionSheet({
  sheet,
  instrument,
  section,
}: {
  sheet: WrittenSheet;
  instrument: string;
  section: string;
}) {
  return (
    <article aria-label="Questions" className="grid gap-4">
      <p className="flex flex-wrap justify-between gap-x-8 gap-y-1">
        <b>
          {section}, sheet {sheet.seed}
        </b>
        <span>Name ______________________________</span>
        <span>Points ______ of {sheet.questions.length}</span>
      </p>
      {byLine(sheet).map(({ lineId, questions }) => (
        <section key={lineId} className="break-inside-avoid-page">
          <AskedLine lineId={lineId} instrument={instrument} section={section} />
          <ol className="mt-2 grid gap-x-10 gap-y-1.5 md:grid-cols-2 print:grid-cols-2">
            {questions.map((question) => (
              <li key={question.number} className="grid grid-cols-[1.6rem_1fr] gap-1">
                <b className="tabular-nums">{question.number}</b>
                <span>
                  {question.question}
                  <span
                    className={
                      question.ask === "COUNT_MEASURE" || question.ask === "WAY_THROUGH"
                        ? "mt-4 block border-b border-current"
                        : "ml-2 inline-block w-24 border-b border-current"
                    }
                  />
                </span>
              </li>
            ))}
          </ol>
        </section>
      ))}
    </article>
  );
}

/** A line as the section reads it, without anything that would give an answer away. */
export function AskedLine({
  lineId,
  instrument,
  section,
}: {
  lineId: string;
  instrument: string;
  section: string;
}) {
  const { scope } = useScope();
  const notes = useQuery(
    lineNotesQuery(lineId, instrument, undefined, { division: scope.division || undefined }),
  );
  if (!notes.data) return null;
  return (
    <Notation
      musicXml={notes.data.musicXml}
      label={`The line for ${section}`}
      brackets={[]}
      measures={notes.data.analysis.measures.map(({ number }) => ({ number, marked: false }))}
    />
  );
}

/** What is right, for whoever corrects. */
export function AnswerSheet({ sheet, section }: { sheet: WrittenSheet; section: string }) {
  return (
    <article aria-label="Answers">
      <p className="mb-2">
        <b>
          {section}, sheet {sheet.seed}, answers
        </b>
      </p>
      <ol className="grid gap-x-10 md:grid-cols-2 print:grid-cols-2">
        {sheet.questions.map((question, i) => (
          <li key={i} className="grid grid-cols-[1.6rem_1fr] gap-1 border-b border-[var(--hairline)] py-1">
            <b className="tabular-nums">{i + 1}</b>
            <span>
              <span className="soft">{question.question}</span> <b className="block">{question.answer}</b>
            </span>
          </li>
        ))}
      </ol>
    </article>
  );
}
