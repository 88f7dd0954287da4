import type { Finding } from '../../findings/finding.ts';
import { figure } from '../../findings/gap.ts';
import { plain } from '../../findings/terms.ts';
import { screwLength, whichThread } from '../../fit/fasteners.ts';
import { commonPractice } from '../../standards/source.ts';
import { parseNumber } from '../../units/length.ts';
import { range } from '../../units/range.ts';

const n = String.raw`(\d+(?:[.,]\d+)?)`;
const num = (text: string | undefined) => parseNumber(text ?? '') ?? NaN;

/** `thread 3.5 0.8`: which thread is it; `screw 3.8 over 1.2`: how long may the screw be. */
export function fastenerSum(text: string): { say: string; finding: Finding } | undefined {
  try {
    return thread(text) ?? screw(text);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

function thread(text: string) {
  const match = new RegExp(`^thread ${n}(?: (?:x )?${n})?$`, 'i').exec(text);
  if (!match) return undefined;
  const pitch = match[2] === undefined ? undefined : num(match[2]);
  const answer = whichThread(num(match[1]), pitch);
  const finding: Finding = {
    ...base('which thread'),
    mark: answer.may.length === 1 ? 'clear' : answer.may.length > 1 ? 'watch' : 'stop',
    unit: '',
    terms: [
      plain('diameter', `${match[1]} mm`, 0),
      ...(pitch === undefined ? [] : [plain('pitch', `${match[2]} mm`, 0)]),
    ],
    marginLabel: answer.may.map((each) => each.name).join(' or ') || 'none',
    say: answer.say,
  };
  return { say: answer.say, finding };
}

function screw(text: string) {
  const match = new RegExp(`^screw ${n}(?: mm)? (?:over|through) ${n}(?: mm)?$`, 'i').exec(text);
  if (!match) return undefined;
  const [depth, plate] = [num(match[1]), num(match[2])];
  const answer = screwLength(plate, depth);
  const finding: Finding = {
    ...base('screw length'),
    mark: answer.fits.length > 0 ? 'clear' : answer.washers ? 'mend' : 'stop',
    unit: '',
    terms: [plain('depth of the hole', range(depth), 1), plain('plate', range(plate), 1)],
    margin: answer.mayMm,
    marginLabel: `${figure(answer.mayMm)} mm under the head`,
    say: answer.say,
  };
  return { say: answer.say, finding };
}

const base = (title: string) => ({
  id: 'quick',
  station: 'fit' as const,
  title,
  seats: [],
  source: commonPractice,
  remedies: [],
  undoMinutes: 0,
});
