'use client';
import { useState, type ReactNode } from 'react';

interface LazyMenuProps {
  /** What the button is called where its content does not say it. */
  readonly label?: string;
  readonly content: ReactNode;
  /** The menu or dialog with a button of its own, which opens as soon as it is there. */
  readonly children: ReactNode;
}

/** A button that stands for a menu or dialog until it is first pressed: what is never opened is never fetched. */
export function LazyMenu({ label, content, children }: LazyMenuProps) {
  const [asked, setAsked] = useState(false);
  if (asked) return children;
  return (
    <button type="button" className="button" aria-label={label} onClick={() => setAsked(true)}>
      {content}
    </button>
  );
}
