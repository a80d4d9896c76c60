import { at } from "../../api/at";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { post, Problem, put } from "../../api/http";
import type { Book } from "../../api/types";
import { Field, Tick } from "../../ui/Field";
import { Button } from "../../ui/parts";

/** A method book's title and volume, and whether the notes of its lines may be kept. */
export function BookForm({ book, onDone }: { book?: Book; onDone: () => void }) {
  const client = useQueryClient();
  const [title, setTitle] = useState(book?.title ?? "");
  const [volume, setVolume] = useState(book?.volume ?? "");
  const [notesKept, setNotesKept] = useState(book?.notesKept ?? false);
  const keep = useMutation({
    mutationFn: () => {
      const value = { title, volume, notesKept };
      return book
        ? put<void>(at("/api/books/{bookId}", { bookId: book.id }), value)
        : post<void>(at("/api/books"), value);
    },
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["library"] });
      onDone();
    },
  });
  const wrong = keep.error instanceof Problem ? keep.error : undefined;
  return (
    <form
      aria-label={book ? "The book" : "A new book"}
      className="bg-base-200 mb-3 grid max-w-2xl gap-3 rounded-lg p-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div className="grid items-start gap-3 sm:grid-cols-[1fr_12rem]">
        <Field
          label="Title"
          autoFocus
          maxLength={120}
          value={title}
          error={wrong && wrong.field !== "volume" ? wrong.message : undefined}
          onChange={(event) => setTitle(event.target.value)}
        />
        <Field
          label="Volume"
          maxLength={60}
          value={volume}
          error={wrong?.field === "volume" ? wrong.message : undefined}
          onChange={(event) => setVolume(event.target.value)}
        />
      </div>
      <Tick
        label="We may keep its notes: they are our own, free of rights, or licensed. Otherwise facts alone are kept."
        checked={notesKept}
        onChange={(event) => setNotesKept(event.target.checked)}
      />
      <span className="flex gap-2">
        <Button look="primary" type="submit" disabled={keep.isPending}>
          Keep
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </span>
    </form>
  );
}
