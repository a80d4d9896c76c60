import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { at } from "../../api/at";
import { Problem, put } from "../../api/http";
import type { Programme } from "../../api/types";
import { Field } from "../../ui/Field";
import { Button, Failed, Skeleton } from "../../ui/parts";
import { useToast } from "../../ui/toasts";
import { programmeQuery } from "../start/start.queries";

const zones = Intl.supportedValuesOf("timeZone");

/** What the school is called, where its clocks are, and its campuses. */
export function ProgrammePart() {
  const programme = useQuery(programmeQuery);
  if (programme.isError) return <Failed error={programme.error} again={() => void programme.refetch()} />;
  if (!programme.data) return <Skeleton rows={2} />;
  return <Typing key={programme.dataUpdatedAt} kept={programme.data} />;
}

function Typing({ kept }: { kept: Programme }) {
  const client = useQueryClient();
  const toast = useToast();
  const [name, setName] = useState(kept.named ? kept.name : "");
  const [zone, setZone] = useState(kept.zone);
  const [campuses, setCampuses] = useState(kept.campuses.join(", "));
  const keep = useMutation({
    mutationFn: () =>
      put<void>(at("/api/programme"), {
        name,
        zone,
        campuses: campuses
          .split(",")
          .map((one) => one.trim())
          .filter(Boolean),
      }),
    onSuccess: async () => {
      toast(`${name} is kept`);
      await client.invalidateQueries();
    },
  });
  const told = (field: string) =>
    keep.error instanceof Problem && keep.error.field === field ? keep.error.message : undefined;
  const elsewhere = keep.isError && !told("name") && !told("zone");
  return (
    <form
      noValidate
      aria-label="The school"
      className="mb-6 grid items-start gap-4 sm:grid-cols-[1fr_15rem_1fr_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <datalist id="zones">
        {zones.map((one) => (
          <option key={one} value={one} />
        ))}
      </datalist>
      <Field
        label="School"
        placeholder="what everybody calls it"
        value={name}
        error={told("name")}
        onChange={(e) => setName(e.target.value)}
      />
      <Field
        label="Time zone"
        list="zones"
        value={zone}
        error={told("zone")}
        onChange={(e) => setZone(e.target.value)}
      />
      <Field
        label="Campuses"
        placeholder="with commas; blank where there is one"
        value={campuses}
        onChange={(e) => setCampuses(e.target.value)}
      />
      <Button type="submit" className="mt-7" disabled={keep.isPending}>
        Keep the school
      </Button>
      {elsewhere && (
        <p role="alert" className="text-error col-span-full">
          {keep.error.message}
        </p>
      )}
    </form>
  );
}
