import { api, ask, type RigDocument, type Schemas } from '../api/client';
import { besideShelf, type OwnRow } from './document';

/** The shelf: what ships, and the user's own rows. */
class ShelfState {
  /** Lists with what ships; null until they were asked for. */
  lists = $state.raw<Schemas['ShelfList'][] | null>(null);
  /** The user's own rows. */
  own = $state.raw<Schemas['ShelfRow'][]>([]);

  /** The own rows: enough for working on a rig. */
  async loadOwn() {
    this.own = await ask(api.GET('/api/shelf'));
  }

  async load() {
    const [lists] = await Promise.all([this.lists ?? ask(api.GET('/api/shelf/lists')), this.loadOwn()]);
    this.lists = lists;
  }

  list(id: string) {
    return this.lists?.find((l) => l.id === id);
  }

  /** Puts a row of one's own on the shelf, or changes the one there. */
  async put(list: string, row: OwnRow) {
    const known = this.own.find((r) => r.list === list && r.id === row.id);
    const headers = known ? { 'If-Match': `"${known.version}"` } : { 'If-None-Match': '*' };
    await ask(
      api.PUT('/api/shelf/{list}/{id}', {
        params: { path: { list, id: row.id } },
        body: row as unknown as Schemas['ShelfRow']['row'],
        headers,
      }),
    );
    await this.loadOwn();
  }

  async remove(row: Schemas['ShelfRow']) {
    await ask(
      api.DELETE('/api/shelf/{list}/{id}', {
        params: { path: { list: row.list, id: row.id } },
        headers: { 'If-Match': `"${row.version}"` },
      }),
    );
    await this.loadOwn();
  }
}

export const shelf = new ShelfState();

/** A rig with all of the shelf beside it, for questions that try what else there is. */
export const withShelf = (doc: RigDocument) => besideShelf(doc, shelf.own);
