/** The newest revision of a job as the live channel tells it. */
interface Newest {
  readonly number: number;
  readonly savedBy: string;
}

/**
 * Says on a sheet that is shown that its job was changed since.
 *
 * @param place Where it says so: hidden until then, with the job and the revision that the sheet is of.
 */
export function watchSheet(place: HTMLElement): void {
  const { job, revision } = place.dataset;
  if (typeof EventSource === 'undefined' || !job) return;
  const source = new EventSource(`/api/jobs/${job}/live`);
  source.addEventListener('revision', (event) => {
    const { number, savedBy } = JSON.parse((event as MessageEvent<string>).data) as Newest;
    if (number <= Number(revision)) return;
    const text = place.querySelector('span');
    if (text) text.textContent = `Out of date: ${savedBy} saved revision ${number}, and this sheet is of ${revision}. `;
    place.hidden = false;
  });
}
