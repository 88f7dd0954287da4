import type { Finding, Remedy } from '../core/findings/finding.ts';
import type { Resolutions } from '../core/resolve/resolutions.ts';
import { remedyId } from '../core/remedies/index.ts';

/** What the API answers: the shapes it has had since version 1, remedies named by one word each. */

const idOf = ({ value }: Pick<Remedy, 'value'>) =>
  value.do === 'put' ? `put:${value.seat}:${value.partId ?? 'none'}` : remedyId(value);

/** A finding, its remedies with an id and what they do: take, put or want; its margin is called rest. */
export const published = ({
  margin,
  marginLabel,
  remedies,
  about: _about,
  ...finding
}: Finding) => ({
  ...finding,
  rest: margin,
  restLabel: marginLabel,
  remedies: remedies.map(({ margin: left, ...remedy }) => {
    const { get, value } = remedy;
    const action = value.do === 'put' ? value : get ? { do: 'want', ...get } : { do: 'take' };
    return { id: idOf(remedy), ...remedy, rest: left, action };
  }),
});

/** The answer of the search, what is applied and has to be got by its words. */
export const publishedResolutions = (answer: Resolutions) => ({
  ...answer,
  ways: answer.ways.map(({ applies, gets, ...way }) => ({
    ...way,
    takes: applies.map(remedyId),
    wants: gets.map(({ what, remedy }) => ({ what, remedyId: remedyId(remedy) })),
    applies,
  })),
});
