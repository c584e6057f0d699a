/** How long until the list is asked for again, ms: a little longer each time. */
const WAITS = [1000, 1500, 2000, 3000, 5000, 8000];
/** After so many times whoever looks must reload the page. */
const MOST = 40;

/**
 * Brings the rows of a list of jobs up while some of them are still being computed: the list is asked for again, and its rows are
 * put in the place of those that are shown.
 *
 * @param list The list; rows that are not the present ones have `data-outdated` in them.
 */
export function followCards(list: HTMLElement): void {
  let turn = 0;
  const again = async () => {
    if (!list.isConnected || !list.querySelector('[data-outdated]') || turn >= MOST) return;
    turn += 1;
    if (document.visibilityState === 'visible') {
      const rows = await rowsNow(list.id);
      // Whoever is on a button of the list keeps it.
      if (rows !== null && !list.contains(document.activeElement)) list.innerHTML = rows;
    }
    setTimeout(() => void again(), WAITS[Math.min(turn, WAITS.length - 1)]);
  };
  setTimeout(() => void again(), WAITS[0]);
}

/** The rows of the list as the server has them now; null where it cannot be reached. */
async function rowsNow(id: string): Promise<string | null> {
  try {
    const answer = await fetch(location.href, { headers: { accept: 'text/html' } });
    if (!answer.ok) return null;
    const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
    return page.getElementById(id)?.innerHTML ?? null;
  } catch {
    return null;
  }
}
