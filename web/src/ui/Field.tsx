import clsx from "clsx";
import { useId, type InputHTMLAttributes, type ReactNode, type SelectHTMLAttributes } from "react";

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
  className,
  ...rest
}: Labelled & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} error={error} hint={hint}>
      <input
        id={id}
        aria-invalid={Boolean(error)}
        aria-describedby={described(id, { label, error, hint })}
        className={clsx("input hairline bg-base-100 w-full border-[1.5px]", className)}
        {...rest}
      />
    </Frame>
  );
}

export function SelectField({
  label,
  error,
  hint,
  className,
  ...rest
}: Labelled & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId();
  return (
    <Frame id={id} label={label} error={error} hint={hint}>
      <select
        id={id}
        aria-invalid={Boolean(error)}
        aria-describedby={described(id, { label, error, hint })}
        className={clsx("select hairline bg-base-100 w-full border-[1.5px]", className)}
        {...rest}
      />
    </Frame>
  );
}
