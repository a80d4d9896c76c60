import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { libraryQuery } from "../../app/queries";
import { scopeSearch, useScope } from "../../app/scope";
import { Empty, Failed, Heading, Skeleton } from "../../ui/parts";
import { checkQuery } from "./checks.queries";
import { CheckSheet } from "./CheckSheet";

/** One technique check of the programme, with what comes before it. */
export function CheckPage() {
  const { milestoneId = "" } = useParams();
  const { search } = useScope();
  const kept = scopeSearch(search, {});
  const described = useQuery(checkQuery(milestoneId));
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
  return (
    <>
      <Heading title={check.title}>
        <Link className="btn btn-outline hairline h-9 min-h-0" to={{ pathname: "/library", search: kept }}>
          Library
        </Link>
        <Link className="btn btn-primary h-9 min-h-0" to={{ pathname: `/hear/${milestoneId}`, search: kept }}>
          Hear it
        </Link>
      </Heading>
      {before.length > 0 && (
        <p className="mb-4">
          <span className="soft">Comes after </span>
          {before.map((b, i) => (
            <span key={b.milestoneId}>
              {i > 0 && ", "}
              <Link to={{ pathname: `/library/checks/${b.milestoneId}`, search: kept }}>{b.title}</Link>
            </span>
          ))}
        </p>
      )}
      <CheckSheet check={check} passRule={milestone?.passRule} />
    </>
  );
}
