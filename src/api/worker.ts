import { move, transferableSymbol, valueSymbol } from 'piscina';
import { refused, type Answer } from './answer.ts';
import { tasks, type TaskName } from './tasks.ts';

/** A thread that computes one request after the other and keeps nothing of any. */

export interface Request {
  task: TaskName;
  /** The body as it came, UTF-8. */
  body: ArrayBuffer;
  query: Record<string, string>;
}

/** What comes back: bytes, handed over whole and not copied, so that the thread that serves does nothing with them. */
export interface Answered {
  status: number;
  body: ArrayBuffer;
}

export default async function answer(request: Request): Promise<Answered> {
  const { status, body } = await answered(request);
  const bytes = new TextEncoder().encode(body).buffer as ArrayBuffer;
  const value: Answered = { status, body: bytes };
  return move({
    [transferableSymbol]: bytes,
    [valueSymbol]: value,
  } as never) as unknown as Answered;
}

export function answered({ task, body, query }: Request): Answer | Promise<Answer> {
  let value: unknown;
  try {
    value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body));
  } catch (error) {
    return refused(400, `Broken JSON: ${(error as Error).message}`);
  }
  return tasks[task](value, query);
}
