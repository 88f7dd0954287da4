import type { Server } from 'node:http';

export function serve(options?: {
  seconds?: number;
  port?: number;
  demo?: boolean;
  build?: string;
}): Promise<{ server: Server; address: string }>;
