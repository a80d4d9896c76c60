import clsx from "clsx";
import { Link } from "react-router";
import { useSeesEverybody } from "./role";

/** A student's name, which opens the folder for those who may look into it. */
export function StudentName({
  studentId,
  name,
  search,
  className,
}: {
  studentId: string;
  name: string;
  search: string;
  className?: string;
}) {
  const opens = useSeesEverybody();
  return opens ? (
    <Link to={{ pathname: `/roster/students/${studentId}`, search }} className={clsx(className)}>
      {name}
    </Link>
  ) : (
    <span className={clsx(className)}>{name}</span>
  );
}
