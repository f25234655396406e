"use client";

import { Popover } from "antd";
import { useRef, type ReactNode, type Ref } from "react";

/** What can be reached by Tab. */
const reachable = "a[href], button:not(:disabled), input:not(:disabled), select, textarea, summary, [tabindex='0']";

interface HeldProps {
  ref: Ref<HTMLDivElement>;
  label: string;
  onClose(): void;
  children: ReactNode;
}

/** What pops over has the focus while it is there: Escape and Tab past its ends close it. */
function Held({ ref, label, onClose, children }: HeldProps) {
  return (
    <div
      ref={ref}
      role="dialog"
      aria-label={label}
      tabIndex={-1}
      onKeyDown={(event) => {
        const inside = [...event.currentTarget.querySelectorAll<HTMLElement>(reachable)];
        const end = event.shiftKey ? inside[0] : inside.at(-1);
        const leaves = event.key === "Tab" && (document.activeElement === end || inside.length === 0);
        // What is open inside, a list of choices, has Escape first.
        const isInner = (event.target as Element).getAttribute("aria-expanded") === "true";
        if (!leaves && (event.key !== "Escape" || isInner)) return;
        event.preventDefault();
        event.stopPropagation();
        onClose();
      }}
    >
      {children}
    </div>
  );
}

/** Puts the focus into what pops over. */
function enter(dialog: HTMLElement | null): void {
  (dialog?.querySelector<HTMLElement>(reachable) ?? dialog)?.focus({ preventScroll: true });
}

interface Props {
  /** What it is, for those who do not see where it stands. */
  label: string;
  open: boolean;
  onOpen(open: boolean): void;
  className?: string;
  /** Whether what it is about is in force, where it is a switch. */
  pressed?: boolean;
  /** On the button. */
  words: ReactNode;
  children: ReactNode;
}

/** A button, and what pops over when it is pressed. */
export function PopOver({ label, open, onOpen, className = "chip", pressed, words, children }: Props) {
  const button = useRef<HTMLButtonElement>(null);
  const content = useRef<HTMLDivElement>(null);
  const close = () => {
    onOpen(false);
    button.current?.focus();
  };
  return (
    <Popover
      trigger="click"
      placement="bottomRight"
      open={open}
      onOpenChange={onOpen}
      afterOpenChange={(shows) => shows && enter(content.current)}
      destroyOnHidden
      content={
        <Held ref={content} label={label} onClose={close}>
          {children}
        </Held>
      }
    >
      <button
        ref={button}
        type="button"
        className={className}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-pressed={pressed}
      >
        {words}
      </button>
    </Popover>
  );
}

interface NoteProps {
  label: string;
  /** How it was opened: by the pointer passing over it, the focus stays where it is. */
  by: "pointer" | "press";
  className?: string;
  onClose(how: "left" | "closed"): void;
  children: ReactNode;
}

/**
 * What pops over beside a button that is there already. It lies in the button, over all of it: a press that has begun
 * when it comes is one of the button still.
 */
export function NoteOver({ label, by, className, onClose, children }: NoteProps) {
  const content = useRef<HTMLDivElement>(null);
  return (
    <Popover
      open
      trigger="hover"
      placement="rightTop"
      onOpenChange={(shows) => !shows && onClose("left")}
      afterOpenChange={(shows) => shows && by === "press" && enter(content.current)}
      content={
        <Held ref={content} label={label} onClose={() => onClose("closed")}>
          {children}
        </Held>
      }
    >
      <span className={className} />
    </Popover>
  );
}
