import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import type { RubricDraft } from "../../api/types";
import { Field } from "../../ui/Field";
import { Button, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { counted } from "../../ui/words";
import { RubricFields } from "./RubricFields";
import { rubricsQuery } from "./tests.queries";

interface Open {
  /** Undefined of a new one. */
  id?: string;
  version: number;
  rubric: RubricDraft;
}

/** The rubrics a test can begin with: one's own, to be edited, and those that ship, to be copied. */
export function RubricsPage() {
  const rubrics = useQuery(rubricsQuery);
  const [open, setOpen] = useState<Open>();
  if (rubrics.isError) return <Failed error={rubrics.error} again={() => void rubrics.refetch()} />;
  if (!rubrics.data) return <Skeleton rows={8} />;
  return (
    <>
      <Heading
        title="Rubrics"
        words="A test keeps the criteria it was built with; an edit here changes none."
      />
      {open ? (
        <RubricForm key={open.id ?? "new"} open={open} onDone={() => setOpen(undefined)} />
      ) : (
        <div className="grid gap-x-10 gap-y-5 xl:grid-cols-2">
          <section aria-label="Yours">
            <h2 className="mb-1 text-[1.2rem]">Yours</h2>
            {rubrics.data.own.length === 0 && <p className="soft">None yet; copy one that ships.</p>}
            <ul>
              {rubrics.data.own.map((one) => (
                <Row key={one.id} rubric={one.rubric}>
                  <Button small onClick={() => setOpen(one)}>
                    Edit
                  </Button>
                  <Button
                    small
                    look="quiet"
                    onClick={() =>
                      setOpen({ version: 0, rubric: { ...one.rubric, name: `Copy of ${one.rubric.name}` } })
                    }
                  >
                    Copy
                  </Button>
                </Row>
              ))}
            </ul>
          </section>
          <section aria-label="Ready to use">
            <h2 className="mb-1 text-[1.2rem]">Ready to use</h2>
            <ul>
              {rubrics.data.shipped.map((rubric) => (
                <Row key={rubric.name} rubric={rubric}>
                  <Button
                    small
                    onClick={() => setOpen({ version: 0, rubric: { ...rubric, name: `My ${rubric.name}` } })}
                  >
                    Copy
                  </Button>
                </Row>
              ))}
            </ul>
          </section>
        </div>
      )}
    </>
  );
}

function Row({ rubric, children }: { rubric: RubricDraft; children: ReactNode }) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-[var(--hairline)] py-2">
      <b>{rubric.name}</b>
      <span className="small soft grow">
        {counted(rubric.criteria.length, "criterion", "criteria")}:{" "}
        {rubric.criteria.map((criterion) => criterion.name.toLowerCase()).join(", ")}; passes with{" "}
        {rubric.mark}
      </span>
      {children}
    </li>
  );
}

function RubricForm({ open, onDone }: { open: Open; onDone: () => void }) {
  const [rubric, setRubric] = useState(open.rubric);
  const client = useQueryClient();
  const toast = useToast();
  const done = async (words: string) => {
    toast(words);
    await client.invalidateQueries({ queryKey: ["library", "rubrics"] });
    onDone();
  };
  const save = useMutation({
    mutationFn: () =>
      open.id
        ? post<void>(at("/api/rubrics/{rubricId}", { rubricId: open.id }), { version: open.version, rubric })
        : post<void>(at("/api/rubrics"), rubric),
    onSuccess: () => done("Kept; tests that are built stay as they are"),
  });
  const away = useMutation({
    mutationFn: () => remove(at("/api/rubrics/{rubricId}", { rubricId: open.id! })),
    onSuccess: () => done("Taken away"),
  });
  const failed = save.error ?? away.error;
  return (
    <form
      className="grid max-w-3xl gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Field
        label="Name"
        maxLength={120}
        value={rubric.name}
        onChange={(event) => setRubric({ ...rubric, name: event.target.value })}
      />
      <RubricFields rubric={rubric} onChange={setRubric} />
      <div className="flex flex-wrap items-center gap-3">
        <p className="text-error grow font-semibold" role={failed ? "alert" : undefined}>
          {failed?.message}
        </p>
        {open.id && (
          <Button look="quiet" onClick={() => away.mutate()}>
            Take it away
          </Button>
        )}
        <Button look="quiet" onClick={onDone}>
          Leave without keeping
        </Button>
        <Button look="primary" type="submit" disabled={save.isPending}>
          Keep this rubric
        </Button>
      </div>
    </form>
  );
}
