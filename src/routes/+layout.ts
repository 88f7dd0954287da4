/** Everything a page shows lives in the browser: nothing is rendered on the server. */
export const ssr = false;
