import { useQuery } from "@tanstack/react-query";
import { Command } from "cmdk";
import { useState } from "react";
import { useNavigate } from "react-router";
import { span } from "./days";
import { jumpField, jumpFrame } from "./jumpLook";
import { jumpScore, jumpValue } from "./jumpScore";
import { placesOf } from "./places";
import { classesQuery, instrumentsQuery, libraryQuery, meQuery, studentsQuery, yearQuery } from "./queries";
import { seesEverybody } from "./role";
import { scopeSearch, tutti, useScope } from "./scope";

/** One box to go anywhere: a student, line, check, section, class, week or place. */
export function JumpBox({ begun = "", onClose }: { begun?: string; onClose: () => void }) {
  const [text, setText] = useState(begun);
  const me = useQuery(meQuery);
  const students = useQuery({ ...studentsQuery, enabled: seesEverybody(me.data?.role) });
  const library = useQuery(libraryQuery);
  const classes = useQuery(classesQuery);
  const instruments = useQuery(instrumentsQuery);
  const year = useQuery(yearQuery);
  const navigate = useNavigate();
  const { search } = useScope();
  const go = (pathname: string, change: Parameters<typeof scopeSearch>[1] = {}) => {
    onClose();
    void navigate({ pathname, search: scopeSearch(search, change) });
  };
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      label="Jump to"
      filter={jumpScore}
      contentClassName={jumpFrame}
      overlayClassName="fixed inset-0 z-40 bg-black/35"
    >
      <Command.Input
        autoFocus
        value={text}
        onValueChange={setText}
        placeholder="A student, line, check, section, week or place"
        className={jumpField}
      />
      <Command.List className="max-h-[50vh] overflow-y-auto p-2 [&_[cmdk-group-heading]]:soft [&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm">
        <Command.Empty className="soft px-3 py-4">Nothing by that name.</Command.Empty>
        <Command.Group heading="Places">
          {placesOf(me.data?.role).map((place) => (
            <Item key={place.path} value={`place ${place.name}`} onSelect={() => go(place.path)}>
              {place.name}
            </Item>
          ))}
        </Command.Group>
        <Command.Group heading="Students">
          {students.data?.map((student) => (
            <Item
              key={student.id}
              value={jumpValue(student.name, student.id)}
              onSelect={() => go(`/roster/students/${student.id}`)}
            >
              {student.name}
              <span className="small soft ml-auto">
                {student.seats.map((seat) => seat.className).join(", ")}
              </span>
            </Item>
          ))}
        </Command.Group>
        <Command.Group heading="Classes and sections">
          {classes.data?.map((c) => (
            <Item
              key={c.id}
              value={`class ${c.name}`}
              onSelect={() => go("/roster", { ...tutti, class: c.id })}
            >
              {c.name}
            </Item>
          ))}
          {classes.data?.map((c) => (
            <Item
              key={`warm-up ${c.id}`}
              value={`warm-up ${c.name}`}
              onSelect={() => go("/podium/warm-up", { ...tutti, class: c.id })}
            >
              Warm-up of {c.name}
            </Item>
          ))}
          {instruments.data?.map((instrument) => (
            <Item
              key={instrument.code}
              value={`section ${instrument.plural}`}
              onSelect={() => go("/roster", { ...tutti, class: "all", instrument: instrument.code })}
            >
              {instrument.plural}, every class
            </Item>
          ))}
        </Command.Group>
        <Command.Group heading="Hear">
          {library.data?.milestones
            .filter((m) => m.kind !== "BELT")
            .map((m) => (
              <Item
                key={m.id}
                value={jumpValue(
                  `${m.kind === "LINE" ? `line ${m.shortName}` : m.shortName} ${m.title} ${m.line?.book ?? ""}`,
                  m.id,
                )}
                onSelect={() => go(`/hear/${m.id}`)}
              >
                {m.kind === "LINE" ? `Line ${m.shortName}, ${m.title}` : m.title}
                <span className="small soft ml-auto">{m.line?.book}</span>
              </Item>
            ))}
        </Command.Group>
        <Command.Group heading="Lines">
          {library.data?.milestones
            .filter((m) => m.kind === "LINE")
            .map((m) => (
              <Item
                key={m.id}
                value={jumpValue(`page of line ${m.shortName} ${m.title} ${m.line?.book ?? ""}`, m.id)}
                onSelect={() => go(`/library/lines/${m.id}`)}
              >
                Line {m.shortName}, {m.title}
                <span className="small soft ml-auto">what it asks</span>
              </Item>
            ))}
        </Command.Group>
        <Command.Group heading="Weeks">
          {year.data?.weeks
            .filter((week) => week.number)
            .map((week) => (
              <Item
                key={week.monday}
                value={`week ${week.number} ${span(week.monday, week.friday)}`}
                onSelect={() => go("/podium", { week: week.monday })}
              >
                Week {week.number}, {span(week.monday, week.friday)}
              </Item>
            ))}
        </Command.Group>
      </Command.List>
    </Command.Dialog>
  );
}

function Item(props: { value: string; onSelect: () => void; children: React.ReactNode }) {
  return (
    <Command.Item
      {...props}
      className="data-[selected=true]:bg-neutral data-[selected=true]:text-neutral-content flex cursor-pointer items-baseline gap-3 rounded-lg px-3 py-1.5 [&[data-selected=true]_.soft]:text-inherit"
    />
  );
}
