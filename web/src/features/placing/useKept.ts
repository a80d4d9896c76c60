import { useQueryClient } from "@tanstack/react-query";
import { useToast } from "../../ui/toasts";

/** Says so, and asks anew what is known of the student. */
export function useKept(studentId: string, words: string) {
  const client = useQueryClient();
  const toast = useToast();
  return async () => {
    toast(words);
    await client.invalidateQueries({ queryKey: ["progress", "placing", studentId] });
  };
}
