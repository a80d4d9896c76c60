import clsx from "clsx";
import {
  useId,
  type InputHTMLAttributes,
  type ReactNode,
  type Ref,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from "react";

interface Labelled {
  label: string;
  error?: string;
  hint?: ReactNode;
}

function Frame({ label, error, hint, id, children }: Labelled & { id: string; children: ReactNode }) {
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children}
      {hint && !error && (
        <p id={`${id}-hint`} className="small soft">
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className="small text-error font-semibold">
          {error}
        </p>
      )}
    </div>
  );
}

const described = (id: string, { error, hint }: Labelled) =>
  error ? `${id}-error` : hint ? `${id}-hint` : undefined;

export function Field({
  label,
  error,
  hint,
  small,
  className,
  ...rest
}: Labelled & { small?: boolean } & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} error={error} hint={hint}>
      <input
        id={id}
        aria-invalid={Boolean(error)}
        aria-describedby={described(id, { label, error, hint })}
        className={clsx(
          "input hairline bg-base-100 w-full border-[1.5px]",
          small && "input-sm h-9 text-[0.95rem]",
          className,
        )}
        {...rest}
      />
    </Frame>
  );
}

export function SelectField({
  label,
  error,
  hint,
  small,
  className,
  ...rest
}: Labelled & { small?: boolean } & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} error={error} hint={hint}>
      <select
        id={id}
        aria-invalid={Boolean(error)}
        aria-describedby={described(id, { label, error, hint })}
        className={clsx(
          "select hairline bg-base-100 w-full border-[1.5px]",
          small && "select-sm h-9 text-[0.95rem]",
          className,
        )}
        {...rest}
      />
    </Frame>
  );
}

export function AreaField({
  label,
  error,
  hint,
  className,
  ...rest
}: Labelled & TextareaHTMLAttributes<HTMLTextAreaElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} error={error} hint={hint}>
      <textarea
        id={id}
        aria-invalid={Boolean(error)}
        aria-describedby={described(id, { label, error, hint })}
        className={clsx("textarea hairline bg-base-100 w-full border-[1.5px] leading-snug", className)}
        {...rest}
      />
    </Frame>
  );
}

/** A bare input in a row of others; the row's words are its label. */
export function Cell({
  className,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { "aria-label": string; ref?: Ref<HTMLInputElement> }) {
  return (
    <input
      className={clsx(
        "input input-sm hairline bg-base-100 h-9 w-full border-[1.5px] text-[0.95rem]",
        className,
      )}
      {...rest}
    />
  );
}

export function Tick({ label, ...rest }: { label: ReactNode } & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <label className="flex items-start gap-2.5">
      <input type="checkbox" className="checkbox checkbox-sm mt-0.5" {...rest} />
      <span>{label}</span>
    </label>
  );
}
