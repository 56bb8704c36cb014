import { ApiError } from '../api/client';
import { day } from '../parts/dates';
import { understood } from '../parts/pending';
import { catalogue } from '../state/catalogue.svelte';
import { ownId, today, type OwnRow } from '../state/document';
import { shelf } from '../state/shelf.svelte';

/** An own row being written: a copy of what is there until it is saved. */
export class RowDraft {
  row = $state.raw<OwnRow>(null!);
  problem = $state('');
  busy = $state(false);

  /** @param fresh True for a row that is not on the shelf yet. */
  constructor(
    readonly list: string,
    row: OwnRow,
    readonly fresh: boolean,
  ) {
    this.row = row;
  }

  /** A row of one's own that starts as a copy of another. */
  static from(list: string, row: OwnRow): RowDraft {
    const copy: OwnRow = {
      ...row,
      id: '',
      name: `My ${row.name.charAt(0).toLowerCase()}${row.name.slice(1)}`.slice(0, 80),
      source: `as “${row.name}”, changed by hand ${day(today())}`.slice(0, 300),
    };
    delete copy.range;
    return new RowDraft(list, copy, true);
  }

  /** Numbers that were typed and not taken. */
  private readonly open: Record<string, true> = {};

  /** Notes that a number was not taken as it was typed, or that it is settled. */
  asks(name: string, asks: boolean) {
    if (asks) this.open[name] = true;
    else delete this.open[name];
  }

  /** Puts it on the shelf; its id, or null and why not. */
  async save(): Promise<string | null> {
    [this.busy, this.problem] = [true, ''];
    // A number typed last may still be on its way to be understood.
    if (!(await understood()) || Object.keys(this.open).length) {
      [this.busy, this.problem] = [false, 'One of the numbers was not understood: see its field.'];
      return null;
    }
    const id = this.fresh
      ? ownId(
          this.row.name,
          shelf.own.map((r) => r.id),
        )
      : this.row.id;
    try {
      await shelf.put(this.list, { ...this.row, id });
      await catalogue.restock();
      return id;
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      const field = shelf.list(this.list)?.fields.find((f) => f.name === e.path);
      const named = field?.label ?? { name: 'Name', source: 'Where its numbers are from' }[e.path ?? ''];
      this.problem = named ? `${named} ${e.message}.` : e.message;
      return null;
    } finally {
      this.busy = false;
    }
  }
}
