/** The one queue of long tasks; which of it is next goes by the priority of its kind. */
export const QUEUE = 'long';
