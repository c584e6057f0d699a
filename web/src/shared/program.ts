/** Put in when the program is built. */
declare const __PROGRAM__: string | undefined;

/** What this program is known by: its sources, as a short text; `sources` where they run as they are. */
export const PROGRAM: string = typeof __PROGRAM__ === 'string' ? __PROGRAM__ : 'sources';

/** The header in which answers say what version of the program they are from. */
export const PROGRAM_HEADER = 'splay-program';
