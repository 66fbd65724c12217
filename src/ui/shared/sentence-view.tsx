import type { Sentence } from '../../core/words';

/** A sentence with its measured values set apart. */
export function SentenceView({ sentence }: { sentence: Sentence }) {
  return sentence.map((piece, index) =>
    typeof piece === 'string' ? (
      <span key={index}>{piece}</span>
    ) : (
      <span key={index} className="figure">
        {piece.figure}
      </span>
    ),
  );
}
