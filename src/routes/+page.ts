/** The shell the service worker answers with when there is no network. */
export const prerender = true;
