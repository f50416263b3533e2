/* What the page was sent with. */

const said = (name: string): string =>
  document.querySelector<HTMLMetaElement>(`meta[name=harmozon-${name}]`)?.content ?? '';

/** Whether the demo garage can be explored here. */
export const hasDemo = (): boolean => said('demo') === 'yes';

/** Whether nobody has an account here yet. */
export const isFirst = (): boolean => said('registration') === 'first';

/** Whether anybody may make an account. */
export const isOpen = (): boolean => said('registration') !== 'closed';

/** Whether somebody without an account may check a car. */
export const takesVisitors = (): boolean => said('visitors') === 'yes';

/** The application's own address, for links that leave this page. */
export const address = (): string => said('address');

/** What a link holds behind its `#`, which is sent to no server and written into no log. */
export const secret = (): string => window.location.hash.slice(1);

/** Characters that a password has at the least. */
export const shortestPassword = (): number => Number(said('shortest-password'));
