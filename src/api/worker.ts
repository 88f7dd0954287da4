import { forgetPlans } from '../core/model/reads.ts';
import { refused, type Answer } from './answer.ts';
import { tasks, type TaskName } from './tasks.ts';

/** A thread that computes one request after the other and keeps nothing of any. */

export interface Request {
  task: TaskName;
  /** The body as it came, UTF-8. */
  body: ArrayBuffer;
  query: Record<string, string>;
}

export default function answer({ task, body, query }: Request): Answer {
  try {
    let value: unknown;
    try {
      value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body));
    } catch (error) {
      return refused(400, `Broken JSON: ${(error as Error).message}`);
    }
    return tasks[task](value, query);
  } finally {
    forgetPlans();
  }
}
