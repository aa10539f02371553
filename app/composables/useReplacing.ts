import type { Household } from '~~/core/household'
import { loadDemo } from '~/database/demo'
import { addHousehold, replaceHousehold, restoreState, wipeHousehold } from '~/database/household'
import { useNotices } from '~/stores/notices'
import { useSaving } from '~/stores/saving'

/** All that puts another household in the place of what is there, each with a way back. */
export function useReplacing() {
  const saving = useSaving()
  const notices = useNotices()

  /**
   * Does it, and offers the way back to the state that was kept before: within the same write, so that
   * what the browser does only after a while is not without one.
   */
  async function replace(
    what: string,
    text: string,
    action: () => Promise<number | undefined>,
  ): Promise<void> {
    await saving.write(what, async () => notices.offerBack(text, await action()))
  }

  return {
    demo: () =>
      replace(
        'the demo household',
        'Highfell, the demo household, is here beside what is yours.',
        () => loadDemo(),
      ),
    /** A file's household beside what is there. */
    add: (name: string, household: Household) =>
      replace('the household', `${name} is added to what was here.`, () =>
        addHousehold(household, `${name} was added`),
      ),
    /** A file's household instead of what is there. */
    swap: (name: string, household: Household) =>
      replace('the household', `${name} is taken over.`, () =>
        replaceHousehold(() => household, `${name} was taken over`),
      ),
    wipe: (forGood: boolean) =>
      replace('that everything is gone', 'Everything is gone from this browser.', () =>
        wipeHousehold(forGood),
      ),
    restore: (id: number, when: string) =>
      replace('the earlier state', `All is as it was on ${when}.`, () => restoreState(id)),
  }
}
