import type { Finding } from '../checks/finding.ts';
import type { FileReport, Verification } from './report.ts';

const isWrong = ({ problem, unequal }: FileReport): boolean => problem !== undefined || unequal > 0;

/** A finding for each file that does not say what is shown. */
export const checkVerified = ({ files }: Verification): readonly Finding[] =>
  files.filter(isWrong).map((one): Finding => {
    const [first] = one.told;
    return {
      id: `verified:${one.file}`,
      severity: 'repair',
      area: 'tokens',
      decision: '/tokens',
      title: `${one.file} does not say what is shown`,
      figures:
        one.problem ??
        `${one.unequal} of ${one.values} values differ` +
          (first
            ? `: ${first.token} in ${first.mode} at ${first.widthPx} px is ${first.read} in the file, and ${first.shown} here`
            : ''),
      reason: 'Developers build from the file; what it says is what the site will be.',
      source: 'Verify, Tokens, Files: every value as a browser computes it.',
      where: { selector: '.site' },
    };
  });
