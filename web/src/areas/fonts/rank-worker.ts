import type { FontFamily } from '@garnish/core/fonts/family';
import {
  rankPairings,
  rankTrios,
  type Held,
  type Pairing,
  type PairingBrief,
  type PairingPart,
} from '@garnish/core/fonts/pairing';

export interface RankRequest {
  readonly ticket: number;
  readonly families: readonly FontFamily[];
  readonly brief: PairingBrief;
  readonly held: Held;
  /** Whether a label face is ranked with the pair; then something is held. */
  readonly trios: boolean;
}

export interface RankedPair {
  readonly heading: string;
  readonly text: string;
  readonly label?: string;
  readonly score: number;
  readonly parts: Readonly<Record<PairingPart, number>>;
}

export interface RankAnswer {
  readonly ticket: number;
  readonly best: readonly RankedPair[];
  readonly worst: readonly RankedPair[];
  readonly count: number;
  readonly excluded: readonly { readonly name: string; readonly reasons: readonly string[] }[];
}

const BEST = 60;
const WORST = 5;

self.onmessage = ({ data }: MessageEvent<RankRequest>) => {
  const { ticket, families, brief, held, trios } = data;
  const rank = trios ? rankTrios : rankPairings;
  const { count, excluded, pairings } = rank(families, brief, held);
  const plain = ({ heading, text, label, score, parts }: Pairing): RankedPair => ({
    heading: heading.id,
    text: text.id,
    ...(label && { label: label.id }),
    score,
    parts,
  });
  const answer: RankAnswer = {
    ticket,
    best: pairings(0, BEST).map(plain),
    worst: pairings(count - WORST, count).map(plain),
    count,
    excluded: excluded.map(({ family, reasons }) => ({ name: family.name, reasons })),
  };
  self.postMessage(answer);
};
