import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import { useKeys } from "../../app/useKeys";
import { Button, Kbd } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

/** Everything on screen belongs to another programme after this. */
function useChangedProgramme() {
  const client = useQueryClient();
  const navigate = useNavigate();
  return () => {
    client.clear();
    void navigate("/podium", { replace: true });
  };
}

/** One looks around in the made-up school first; it stays apart and is thrown away when one likes. */
export function LookAround() {
  const changed = useChangedProgramme();
  const toast = useToast();
  const look = useMutation({ mutationFn: () => post<void>(at("/api/look-around"), {}), onSuccess: changed });
  const away = useMutation({
    mutationFn: () => remove(at("/api/look-around")),
    onSuccess: () => toast("The made-up school is thrown away"),
  });
  useKeys({ d: look.isPending ? undefined : () => look.mutate() });
  return (
    <div className="mt-3 grid gap-2">
      <p className="flex flex-wrap items-center gap-2">
        <Button small disabled={look.isPending} onClick={() => look.mutate()}>
          <Kbd>D</Kbd> Look around in the made-up school first
        </Button>
        <span className="soft">it stays apart from yours and can be thrown away</span>
        <Button small look="quiet" disabled={away.isPending} onClick={() => away.mutate()}>
          Throw it away
        </Button>
      </p>
      {look.isPending && (
        <progress
          className="progress progress-primary w-full max-w-md"
          aria-label="Opening the made-up school"
        />
      )}
      {(look.error ?? away.error) && (
        <p role="alert" className="text-error">
          {(look.error ?? away.error)?.message}
        </p>
      )}
    </div>
  );
}

/** Stands over every screen of the made-up school. */
export function LookingAround() {
  const changed = useChangedProgramme();
  const home = useMutation({
    mutationFn: () => post<void>(at("/api/look-around/home"), {}),
    onSuccess: changed,
  });
  return (
    <div
      role="status"
      className="no-print bg-[var(--now)]/40 col-span-full flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-1.5"
    >
      <span className="grow">
        You look around in a made-up school. Nothing here touches yours; try whatever you like.
      </span>
      {home.isError && <span className="text-error">{home.error.message}</span>}
      <Button small disabled={home.isPending} onClick={() => home.mutate()}>
        Back to your own
      </Button>
    </div>
  );
}
