import { useMutation, useQueryClient } from "@tanstack/react-query";
import { at } from "../../api/at";
import { post, remove } from "../../api/http";
import { longDay } from "../../app/days";
import { Button, Failed } from "../../ui/parts";
import { useToast } from "../../ui/toasts";

/** School does not meet after all: one press, and one press back. Letters and due days follow at once. */
export function LostDay({ day }: { day: string }) {
  const client = useQueryClient();
  const toast = useToast();
  const again = () => client.invalidateQueries();
  const lose = useMutation({
    mutationFn: () => post<void>(at("/api/years/lost-days"), { day, name: "No school" }),
    onSuccess: async () => {
      toast(`${longDay(day)} is lost; the letters go on with the next school day`, () =>
        remove(at("/api/years/lost-days/{day}", { day })).then(again),
      );
      await again();
    },
  });
  return (
    <div>
      <Button small look="quiet" disabled={lose.isPending} onClick={() => lose.mutate()}>
        No school on this day after all
      </Button>
      {lose.isError && <Failed error={lose.error} />}
    </div>
  );
}
