import type { Hex } from '@garnish/core/color/srgb';
import type { Veil } from '@garnish/core/system/document';
import { useDecided } from '../../system/system-context.ts';
import type { VeilAnswer, VeilQuestion } from './veil-worker.ts';

interface VeilProofProps {
  readonly veil: Veil;
  /** In the theme that is shown. */
  readonly strength: number;
  readonly frames: VeilQuestion['frames'];
  /** What was found, or that the pixels cannot be read. */
  readonly answer: VeilAnswer | 'unread' | undefined;
  /** The other color that text could have. */
  readonly other: Hex;
  readonly onTake: (strength: number) => void;
}

/** Whether the text on a picture reads, from which strength of the veil on, and how it stands at every width. */
export function VeilProof(props: VeilProofProps) {
  const { veil, strength, frames, other, onTake } = props;
  const answer = props.answer === 'unread' ? undefined : props.answer;
  const decided = useDecided([], ['styles']);
  const least = answer?.least[0];
  const failing = answer?.present.some((proofs) =>
    proofs.some(({ passing }) => passing < veil.pixels),
  );
  return (
    <>
      <div role="status" className="mt-1">
        {props.answer === undefined && <p className="text-quiet">Looking at the pixels …</p>}
        {props.answer === 'unread' && (
          <p className="text-error">
            The pixels of this picture cannot be read, so nothing is proved. Bring it once more.
          </p>
        )}
        {answer && (
          <p className="flex flex-wrap items-baseline gap-x-4">
            <span className={failing ? 'font-semibold text-error' : ''}>
              {failing ? 'falls short' : 'reads'} at {strength} of 255
            </span>
            {least ? (
              <button
                type="button"
                className="act"
                disabled={least.strength === strength}
                onClick={() => onTake(least.strength)}
              >
                {least.strength === strength
                  ? 'This is the least veil'
                  : `Take the least veil, ${least.strength}`}
              </button>
            ) : (
              <span className="text-error">no strength of this veil is enough</span>
            )}
            <span className="text-quiet">
              text in <span className="figures">{other}</span>{' '}
              {answer.least[1]
                ? `would need ${answer.least[1].strength}`
                : 'would not read at any strength'}
            </span>
          </p>
        )}
      </div>
      {answer && answer.present.length === frames.length && (
        <table className="mt-1 w-full text-xs" aria-label={`Lowest contrast on ${veil.name}`}>
          <tbody>
            {frames.map(({ screenPx, boxes }, index) => (
              <tr key={screenPx} className="border-t border-line">
                <th scope="row" className="figures py-0.5 text-start font-normal text-quiet">
                  {screenPx === 0 ? 'the whole picture' : `${screenPx} px`}
                </th>
                {boxes.map(({ text }, box) => {
                  const proof = answer.present[index]?.[box];
                  const needed = frames[index]?.needed[box] ?? 4.5;
                  const short = proof !== undefined && proof.passing < veil.pixels;
                  return (
                    <td key={box} className={short ? 'text-error' : ''}>
                      {decided.derived.styles.get(text)?.name ?? text}{' '}
                      <span className="figures">{proof?.lowest.toFixed(2)}</span>
                      <span className="text-quiet"> of {needed}</span>
                      {short && ` · ${(100 - proof.passing * 100).toFixed(1)} % fail`}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
