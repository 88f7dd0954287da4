/** What a task of the API answers: a status and the text of a body, plain enough to pass between threads. */
export interface Answer {
  status: number;
  body: string;
}

/** A task: the parsed body of a request and its query to an answer. Knows no server, keeps nothing. */
export type Task = (value: unknown, query: Readonly<Record<string, string>>) => Answer;

/** A task that has something to load first. */
export type LateTask = (...asked: Parameters<Task>) => Promise<Answer>;

export const ok = (value: unknown): Answer => ({ status: 200, body: JSON.stringify(value) });

/** A refusal with the place of the fault. */
export const refused = (status: number, message: string, path: string | null = null): Answer => ({
  status,
  body: JSON.stringify({ message, path }),
});
