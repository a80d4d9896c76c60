import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { instrumentsQuery, libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { counted } from "../../ui/words";
import { AnswerSheet, QuestionSheet } from "./Sheet";
import { BoardQuestions } from "./BoardQuestions";
import { writtenQuery, writtenSheetQuery } from "./written.queries";

/** A written check for a section: its sheet, its answers, printed or one by one on the board. */
export function WrittenPage() {
  const { milestoneId = "" } = useParams();
  const { scope, search } = useScope();
  const written = useQuery(writtenQuery(milestoneId));
  const library = useQuery(libraryQuery);
  const instruments = useQuery(instrumentsQuery);
  const [chosen, setChosen] = useState<string>();
  const instrument = scope.instrument ?? chosen ?? instruments.data?.[0]?.code;
  const made = Boolean(written.data && written.data.draft.lineIds.length > 0);
  const sheet = useQuery(writtenSheetQuery(milestoneId, made ? instrument : undefined));
  const [answers, setAnswers] = useState(false);
  const [onBoard, setOnBoard] = useState(false);
  if (written.isError) return <Failed error={written.error} again={() => void written.refetch()} />;
  if (!written.data || !library.data || !instruments.data) return <Skeleton rows={9} />;
  const { draft } = written.data;
  const kept = scopeSearch(search, {});
  const name = instruments.data.find((one) => one.code === instrument)?.name ?? "";
  return (
    <>
      <Heading
        title={draft.title}
        words={
          draft.topPoints === undefined
            ? "done or not"
            : `${counted(draft.topPoints, "point")}, passes with ${draft.mark}`
        }
      >
        {made && !scope.instrument && (
          <select
            aria-label="Section"
            className={looks.smallSelect}
            value={instrument}
            onChange={(event) => setChosen(event.target.value)}
          >
            {instruments.data.map((one) => (
              <option key={one.code} value={one.code}>
                {one.name}
              </option>
            ))}
          </select>
        )}
        <Link
          className={`${looks.smallButton} font-semibold`}
          to={{ pathname: `/library/written/${milestoneId}/edit`, search: kept }}
        >
          Edit
        </Link>
        {made && (
          <>
            <Button small onClick={() => setOnBoard(true)}>
              On the board
            </Button>
            <Button small aria-pressed={answers} onClick={() => setAnswers((on) => !on)}>
              {answers ? "Questions" : "Answers"}
            </Button>
            <Button small onClick={() => window.print()}>
              Print
            </Button>
          </>
        )}
        <Link
          className={`${looks.smallPrimary} font-semibold`}
          to={{ pathname: `/hear/${milestoneId}`, search: kept }}
        >
          Record
        </Link>
      </Heading>
      {!made && (
        <Empty>A paper of your own: hand it out, correct it, and record it for the class here.</Empty>
      )}
      {sheet.isError && <Failed error={sheet.error} again={() => void sheet.refetch()} />}
      {made && !sheet.data && !sheet.isError && <Skeleton rows={8} />}
      {sheet.data &&
        (answers ? (
          <AnswerSheet sheet={sheet.data} section={name} />
        ) : (
          <QuestionSheet sheet={sheet.data} instrument={instrument!} section={name} />
        ))}
      {onBoard && sheet.data && (
        <BoardQuestions
          sheet={sheet.data}
          section={name}
          instrument={instrument!}
          onClose={() => setOnBoard(false)}
        />
      )}
    </>
  );
}
