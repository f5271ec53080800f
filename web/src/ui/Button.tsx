import type { ButtonHTMLAttributes } from "react";

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** The one thing to do here. */
  readonly primary?: boolean;
  /** Pressed in, for a choice. */
  readonly on?: boolean;
}

/**
 * What a button that cannot be pressed just now is: it keeps the focus, so that who works by keys does not lose it as
 * soon as work begins.
 */
const pressable = ({ disabled, onClick }: Pick<ButtonProps, "disabled" | "onClick">) => ({
  "aria-disabled": disabled || undefined,
  onClick: disabled ? undefined : onClick,
});

/** A button that says what happens. */
export function Button({ primary, on, className = "", disabled, onClick, ...rest }: ButtonProps) {
  const look = primary
    ? "bg-accent text-on-accent hover:brightness-95"
    : on
      ? "bg-wash text-ink font-medium"
      : "text-ink hover:bg-wash";
  return (
    <button
      type="button"
      aria-pressed={on}
      className={
        "inline-flex h-7 items-center justify-center gap-1.5 whitespace-nowrap rounded px-2 " +
        "aria-disabled:cursor-default aria-disabled:opacity-40 " +
        `${primary ? "" : "border border-hair"} ${look} ${className}`
      }
      {...rest}
      {...pressable({ disabled, onClick })}
    />
  );
}

/** A button that is only a sign; its label is read and shown on hover. */
export function IconButton({
  label,
  hint,
  className = "",
  children,
  disabled,
  onClick,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { readonly label: string; readonly hint?: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={hint ? `${label} (${hint})` : label}
      className={
        "inline-flex size-7 items-center justify-center rounded text-ink hover:bg-wash " +
        "aria-disabled:cursor-default aria-disabled:opacity-35 " +
        `${className}`
      }
      {...rest}
      {...pressable({ disabled, onClick })}
    >
      {children}
    </button>
  );
}
