/** What the whole rig is called among the let-go cases. */
export const INTACT = 'intact';

/** What of a rig is looked at, and how: nothing of it is saved. */
export class Looking {
  /** The row whose details are open. */
  selected = $state('rig');
  /** The check whose working is unfolded, and a count that goes up each time it is to be scrolled to. */
  opened = $state('');
  sought = $state(0);
  deflected = $state(false);
  lensLarge = $state(false);

  /** Opens a row's details at their top. */
  select(row: string) {
    [this.selected, this.opened] = [row, ''];
  }
}
