'use client';
import { useState } from 'react';

/** The same document for as long as it says the same: one that comes back from the store after an edit is no other than the one that was shown. */
export function useSame<T>(document: T): T {
  const [kept, setKept] = useState(() => ({ document, text: JSON.stringify(document) }));
  if (kept.document === document) return document;
  const text = JSON.stringify(document);
  if (text === kept.text) return kept.document;
  setKept({ document, text });
  return document;
}
