import { array, number, string } from 'yup';
import { photoSubjects } from '../model/types/photoTypes.ts';
import { id, optionalWords, shape, time, words } from './fields.ts';

/** Yup schema of a photograph; the picture itself is a file of its own. */

const share = () => number().min(0).max(1);
const pixels = () => number().integer().min(1).max(20_000).required();

export const HASH = /^[0-9a-f]{64}$/;

/** What a picture is, wherever it hangs. */
export const pictureFields = {
  hash: string().matches(HASH, '${path} is no hash of a picture').required(),
  at: time().required(),
  width: pixels(),
  height: pixels(),
  bytes: number().integer().min(1).max(50_000_000).required(),
  note: optionalWords(),
  marks: array(
    shape({
      sort: string().oneOf(['arrow', 'ring', 'words']).required(),
      x: share().required(),
      y: share().required(),
      toX: share().optional(),
      toY: share().optional(),
      text: optionalWords(),
    }).required(),
  )
    .max(100)
    .required(),
};

export const photoSchema = shape({
  id: id(),
  ...pictureFields,
  when: string().oneOf(['before', 'after']).optional(),
  jobId: id().optional(),
  machineId: id().optional(),
  partId: id().optional(),
  modelId: id().optional(),
  about: shape({
    of: string()
      .oneOf([...photoSubjects])
      .required(),
    key: words(),
  }).optional(),
});
