import { at } from "../../api/at";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "react-router";
import { post } from "../../api/http";
import { libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Button, Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { checkQuery } from "./checks.queries";
import { CheckSheet } from "./CheckSheet";
import { Demonstrations } from "./Demonstrations";
import { FirstNotes } from "./FirstNotes";
import { PartsQuiz } from "./PartsQuiz";
import { TargetTones } from "./TargetTones";
import { looks } from "../../ui/looks";

/** One technique check of the programme, with what comes before it and what can be done with it. */
export function CheckPage({ director }: { director: boolean }) {
  const { milestoneId = "" } = useParams();
  const { search, scope } = useScope();
  const kept = scopeSearch(search, {});
  const described = useQuery(checkQuery(milestoneId, scope.instrument));
  const library = useQuery(libraryQuery);
  const milestone = library.data?.milestones.find((m) => m.id === milestoneId);
  if (described.isError) return <Failed error={described.error} again={() => void described.refetch()} />;
  if (described.isPending || library.isPending) return <Skeleton rows={9} />;
  if (!described.data) {
    return (
      <>
        <Heading title={milestone?.title ?? "Technique check"} />
        <Empty>
          Nothing more than its criteria is written about this check.{" "}
          <Link to={{ pathname: "/library", search: kept }}>Back to the library</Link>
        </Empty>
      </>
    );
  }
  const { check, before } = described.data;
  // The section of the rail, else the one instrument it is for.
  const instrument = scope.instrument ?? (check.appliesTo.length > 0 ? check.appliesTo[0] : undefined);
  return (
    <>
      <Heading title={check.title}>
        {milestone && (
          <>
            <Link
              className={`${looks.button} h-9 min-h-0`}
              to={{ pathname: `/hear/${milestoneId}/partners`, search: kept }}
            >
              Partner check
            </Link>
            <Link
              className={`${looks.primary} h-9 min-h-0`}
              to={{ pathname: `/hear/${milestoneId}`, search: kept }}
            >
              Hear it
            </Link>
          </>
        )}
      </Heading>
      {!milestone && (
        <Empty>This check is off the shelf: it is not ordered any more. What was passed stays.</Empty>
      )}
      <div className="mb-5 flex flex-wrap items-center gap-x-6 gap-y-2">
        {before.length > 0 && (
          <p>
            <span className="soft">Comes after </span>
            {before.map((b, i) => (
              <span key={b.milestoneId}>
                {i > 0 && ", "}
                <Link to={{ pathname: `/library/checks/${b.milestoneId}`, search: kept }}>{b.title}</Link>
              </span>
            ))}
          </p>
        )}
        <TargetTones tones={check.tones} instrument={scope.instrument} />
        {director && <Shelving milestoneId={milestoneId} onShelf={Boolean(milestone)} kept={kept} />}
      </div>
      <CheckSheet check={check} passRule={milestone?.passRule} />
      {check.topic === "FIRST_NOTES" && <FirstNotes instrument={instrument} />}
      {(check.topic === "HANDLING" || check.topic === "ASSEMBLY") && <PartsQuiz instrument={instrument} />}
      <div className="mt-6">
        <Demonstrations milestoneId={milestoneId} director={director} />
      </div>
    </>
  );
}

function Shelving({ milestoneId, onShelf, kept }: { milestoneId: string; onShelf: boolean; kept: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const toast = useToast();
  const shelve = useMutation({
    mutationFn: (retire: boolean) =>
      post<void>(
        retire
          ? at("/api/checks/{milestoneId}/retire", { milestoneId })
          : at("/api/checks/{milestoneId}/restore", { milestoneId }),
        {},
      ),
    onSuccess: async (_, retire) => {
      toast(retire ? "Off the shelf; orders and passes stay" : "Back on the shelf", () =>
        shelve.mutate(!retire),
      );
      await client.invalidateQueries({ queryKey: ["library"] });
    },
  });
  const copy = useMutation({
    mutationFn: () =>
      post<{ milestoneId: string }>(at("/api/checks/{milestoneId}/copy", { milestoneId }), {}),
    onSuccess: async (made) => {
      await client.invalidateQueries({ queryKey: ["library"] });
      await navigate({ pathname: `/library/checks/${made.milestoneId}/edit`, search: kept });
    },
  });
  const failed = shelve.error ?? copy.error;
  return (
    <div className="no-print ml-auto flex flex-wrap gap-2">
      <Link
        className={`${looks.smallButton} font-semibold`}
        to={{ pathname: `/library/checks/${milestoneId}/edit`, search: kept }}
      >
        Edit
      </Link>
      <Button small disabled={copy.isPending} onClick={() => copy.mutate()}>
        Copy
      </Button>
      <Button small disabled={shelve.isPending} onClick={() => shelve.mutate(onShelf)}>
        {onShelf ? "Retire" : "Put back"}
      </Button>
      {failed && <Failed error={failed} />}
    </div>
  );
}
