import { beforeEach, describe, expect, test, vi } from 'vitest';
import { RigSession } from './session.svelte';
import { catalogue } from './catalogue.svelte';
import { notices } from './notices.svelte';
import type { RigDocument } from '../api/client';

// Before the modules: they ask for the window's locks when they are loaded.
vi.hoisted(() => vi.stubGlobal('navigator', {}));

/** A server that keeps one rig and takes its time to store it. */
class Server {
  version = 1;
  document = { name: 'Roof', run: { speed: 20 } } as unknown as RigDocument;
  storing = 0;
  atOnce = 0;
  mostAtOnce = 0;
  refusals = 0;
  broken = false;
  /** It stores, but its answers are lost on the way. */
  deaf = false;
  kept: Record<string, string> = {};
  /** Questions about the rig. */
  asked: string[] = [];
  /** It cannot read a document of before. */
  unread = false;
  /** It keeps no design. */
  forgets = false;

  async put(body: RigDocument, match: string) {
    this.mostAtOnce = Math.max(this.mostAtOnce, ++this.atOnce);
    const onVersion = this.version;
    await new Promise((done) => setTimeout(done, this.storing));
    this.atOnce--;
    if (this.broken) return answer(503, { detail: 'The disk is full.' });
    if (match !== `"${this.version}"` || onVersion !== this.version) {
      this.refusals++;
      return answer(412, { detail: 'It was changed elsewhere.' });
    }
    [this.document, this.version] = [body, this.version + 1];
    if (this.deaf) return answer(502, { detail: 'The line broke.' });
    return answer(200, this.stored);
  }

  get stored() {
    return { version: this.version, filmName: 'Film', document: this.document };
  }
}

function answer(status: number, body: unknown) {
  const ok = status === 200;
  return {
    response: { ok, status, headers: new Headers() } as Response,
    data: ok ? body : undefined,
    error: ok ? undefined : body,
  };
}

/** What the server says of a rig at a speed: the whole one and one let-go case. */
const drive = ({ letGo }: { letGo: string }) => ({
  stations: [],
  checks: [],
  letGo: [{ id: 'intact' }, { id: 'left' }],
  shape: { letGo },
});

let server: Server;

vi.mock('../api/client', async (real) => ({
  ...(await real<object>()),
  api: {
    GET: async (path: string) => answer(200, path === '/api/rigs/{id}' ? server.stored : []),
    PUT: (_: string, call: { body: RigDocument; headers: Record<string, string> }) =>
      server.put(call.body, call.headers['If-Match']!),
    POST: async (
      path: string,
      call: { body?: unknown; params?: { path?: { number: number }; query?: { letGo: string } } },
    ) => {
      if (path.endsWith('/restore')) {
        server.version++;
        server.document = { ...server.document, name: `as at ${call.params!.path!.number}` };
        return answer(200, server.stored);
      }
      if (path.endsWith('advice')) return answer(200, []);
      if (path === '/api/document')
        return server.unread
          ? answer(400, { detail: 'reach: misses kind' })
          : answer(200, { ...(call.body as object), schema: 3 });
      server.asked.push(path);
      if (path.endsWith('/drive'))
        return server.forgets
          ? answer(404, { detail: 'not kept' })
          : answer(200, drive(call.body as { letGo: string }));
      const letGo = call.params!.query!.letGo;
      return answer(200, { design: { id: 'd1', stations: [], checks: [] }, drive: drive({ letGo }) });
    },
  },
}));

const renamed = (session: RigSession, name: string) =>
  session.change(name, { ...session.doc, name } as unknown as RigDocument);

async function opened() {
  const session = new RigSession('r1');
  const loading = session.load();
  await vi.advanceTimersByTimeAsync(1);
  await loading;
  return session;
}

beforeEach(() => {
  vi.useFakeTimers();
  server = new Server();
  const kept = server.kept;
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, value: string) => void (kept[key] = value),
    removeItem: (key: string) => void delete kept[key],
  });
});

describe('saving', () => {
  test('a change is stored after a pause, once', async () => {
    const session = await opened();
    renamed(session, 'A');
    renamed(session, 'B');
    await vi.advanceTimersByTimeAsync(2000);
    expect(server.document.name).toBe('B');
    expect([session.saving.state, session.saving.version]).toEqual(['saved', 2]);
  });

  test.each([false, true])(
    'what a window kept of an earlier schema is read in the words of the present one',
    async (unread) => {
      const first = await opened();
      server.broken = true;
      renamed(first, 'A');
      await vi.advanceTimersByTimeAsync(2000);
      first.close();
      await vi.advanceTimersByTimeAsync(1);
      const key = Object.keys(server.kept).find((k) => k.startsWith('ochema.unsaved.r1'))!;
      server.kept[key] = JSON.stringify({ document: { ...server.document, schema: 2, name: 'Of before' }, version: 1 });
      server.document = { ...server.document, schema: 3 };
      [server.broken, server.unread] = [false, unread];
      const second = await opened();
      expect(second.doc.name).toBe(unread ? 'Roof' : 'Of before');
      expect(second.doc.schema).toBe(3);
      await vi.advanceTimersByTimeAsync(20000);
      expect(server.document).toMatchObject({ schema: 3, name: unread ? 'Roof' : 'Of before' });
      if (unread) expect(Object.keys(server.kept).filter((k) => k.startsWith('ochema.unsaved'))).toEqual([]);
    },
  );

  test('a change made while a slow save is under way waits for it and does not meet its own save', async () => {
    const session = await opened();
    server.storing = 2500;
    renamed(session, 'A');
    await vi.advanceTimersByTimeAsync(1000);
    renamed(session, 'B');
    await vi.advanceTimersByTimeAsync(1000);
    renamed(session, 'C');
    await vi.advanceTimersByTimeAsync(20000);
    expect(server.mostAtOnce).toBe(1);
    expect(server.refusals).toBe(0);
    expect(server.document.name).toBe('C');
    expect(session.saving.state).toBe('saved');
  });

  test('a rig left while it is being saved and opened again goes on from what was saved', async () => {
    const first = await opened();
    server.storing = 2000;
    renamed(first, 'A');
    first.close();
    const second = new RigSession('r1');
    const loading = second.load();
    await vi.advanceTimersByTimeAsync(5000);
    await loading;
    renamed(second, 'B');
    await vi.advanceTimersByTimeAsync(10000);
    expect(server.refusals).toBe(0);
    expect([server.document.name, second.saving.state]).toEqual(['B', 'saved']);
  });

  test('a version is brought back only after what was under way is stored', async () => {
    const session = await opened();
    server.storing = 1500;
    renamed(session, 'A');
    await vi.advanceTimersByTimeAsync(800);
    const back = session.restore(1);
    await vi.advanceTimersByTimeAsync(5000);
    await back;
    expect([server.refusals, session.doc.name, session.saving.state]).toEqual([0, 'as at 1', 'saved']);
  });

  test('another window that saved first is a conflict, and neither document is lost', async () => {
    const session = await opened();
    server.version = 5;
    server.document = { ...server.document, name: 'theirs' };
    renamed(session, 'mine');
    await vi.advanceTimersByTimeAsync(2000);
    expect([session.saving.state, session.doc.name, server.document.name]).toEqual(['conflict', 'mine', 'theirs']);
    const mine = session.saving.keepMine();
    await vi.advanceTimersByTimeAsync(2000);
    await mine;
    expect([session.saving.state, server.document.name, session.saving.version]).toEqual(['saved', 'mine', 6]);
  });

  test('a save whose answer was lost is no conflict with oneself, now or at the next visit', async () => {
    const session = await opened();
    server.deaf = true;
    renamed(session, 'A');
    await vi.advanceTimersByTimeAsync(2000);
    expect([session.saving.state, server.document.name, server.version]).toEqual(['failing', 'A', 2]);
    const kept = { ...server.kept };
    server.deaf = false;
    await vi.advanceTimersByTimeAsync(5000);
    expect([session.saving.state, session.saving.version, server.version]).toEqual(['saved', 2, 2]);
    Object.assign(server.kept, kept);
    const next = await opened();
    expect([next.saving.state, next.saving.version, next.doc.name]).toEqual(['saved', 2, 'A']);
    expect(Object.values(server.kept).some((x) => x.includes('"A"'))).toBe(false);
  });

  test('what cannot be stored is tried again until it is, and kept by the browser meanwhile', async () => {
    const session = await opened();
    server.broken = true;
    renamed(session, 'A');
    await vi.advanceTimersByTimeAsync(2000);
    expect([session.saving.state, session.saving.unsaved?.text]).toEqual(['failing', 'The disk is full.']);
    expect(Object.values(server.kept).some((x) => x.includes('"A"'))).toBe(true);
    server.broken = false;
    await vi.advanceTimersByTimeAsync(5000);
    expect([session.saving.state, server.document.name]).toEqual(['saved', 'A']);
    expect(Object.values(server.kept).some((x) => x.includes('"A"'))).toBe(false);
  });

  test('nothing is saved while something is dragged; what was dragged is one version', async () => {
    const session = await opened();
    session.hold(true);
    for (let i = 0; i < 5; i++) {
      session.setPath('run.speed', 20 + i);
      await vi.advanceTimersByTimeAsync(1000);
    }
    expect(server.version).toBe(1);
    session.hold(false);
    await vi.advanceTimersByTimeAsync(2000);
    expect([server.version, server.document.run.speed]).toEqual([2, 24]);
  });
});

describe('answers', () => {
  const whole = '/api/assess';
  const quick = '/api/assess/drive';
  const soon = () => vi.advanceTimersByTimeAsync(1);

  test('another speed is asked of the design that is kept, anything else of the whole rig', async () => {
    const session = await opened();
    session.setPath('run.speed', 25);
    await soon();
    expect(server.asked).toEqual([whole, quick]);
    session.setPath('run.rain', 'steady');
    await soon();
    session.undo();
    await soon();
    session.setPath('run.speed', 30);
    await soon();
    expect(server.asked).toEqual([whole, quick, whole, whole, quick]);
    expect(session.unanswered).toBe(false);
  });

  test('a server that keeps the design no more is sent the rig', async () => {
    const session = await opened();
    server.forgets = true;
    session.setPath('run.speed', 25);
    await soon();
    expect(server.asked).toEqual([whole, quick, whole]);
    expect([session.answers.problem, session.answers.of]).toEqual([null, session.doc]);
  });

  test('a let-go case is shown once its answer is there, and given up when the rig has it no more', async () => {
    const session = await opened();
    session.letGo = 'left';
    expect(session.shown!.id).toBe('intact');
    await soon();
    expect([server.asked.at(-1), session.shown!.id]).toEqual([quick, 'left']);
    session.nextLetGo(1);
    await soon();
    expect(session.shown!.id).toBe('intact');
    session.letGo = 'gone by now';
    await soon();
    expect([session.letGo, session.shown!.id]).toEqual(['intact', 'intact']);
  });
});

describe('another place', () => {
  const field = (name: string, of?: string[], type = 'quantity') => ({ name, label: name, type, of });

  test('what was pulled on at one end, or measured of one panel, does not count for another', async () => {
    const session = await opened();
    catalogue.kinds = [
      { station: 'strap', id: 'strap', fields: [field('anchorHolds', ['to']), field('pretension')] },
      { station: 'brace', id: 'strut', fields: [field('foot', undefined, 'part'), field('holds')] },
      { station: 'hold', id: 'magnet', fields: [field('measuredPull', ['stock', 'site']), field('pad')] },
    ] as unknown as typeof catalogue.kinds;
    session.setPath('straps', [{ id: 'a', to: { anchor: 'tow-eye', t: 0 }, anchorHolds: 5000, pretension: 300 }]);
    session.setPath('braces', [
      {
        id: 'left',
        kind: 'strut',
        site: 'bonnet',
        holds: 400,
        foot: { kind: 'magnet', measuredPull: 200, pad: 0.001 },
      },
    ]);
    // Along the same edge it is the same end.
    session.setPath('straps.0.to', { anchor: 'tow-eye', t: 0.5 });
    expect(session.doc.straps![0]).toMatchObject({ anchorHolds: 5000 });
    session.setPath('straps.[a].to', { anchor: 'door', t: 0.5 });
    expect(session.doc.straps![0]).toEqual({ id: 'a', to: { anchor: 'door', t: 0.5 }, pretension: 300 });
    expect(notices.text).toContain('anchorHolds');
    session.setPath('braces.0.site', 'roof');
    expect(session.doc.braces![0]).toEqual({
      id: 'left',
      kind: 'strut',
      site: 'roof',
      holds: 400,
      foot: { kind: 'magnet', pad: 0.001 },
    });
  });
});

describe('undo', () => {
  test('quick changes with one key are undone together, others one by one, and a change ends what was undone', async () => {
    const session = await opened();
    session.setPath('run.speed', 21);
    session.setPath('run.speed', 22);
    session.setPath('name', 'B');
    session.undo();
    expect([session.doc.name, session.doc.run.speed]).toEqual(['Roof', 22]);
    session.undo();
    expect(session.doc.run.speed).toBe(20);
    session.redo();
    expect(session.doc.run.speed).toBe(22);
    session.setPath('name', 'C');
    expect(session.canRedo).toBe(false);
  });

  test('a path goes into lists by the id of a part and makes what is missing', async () => {
    const session = await opened();
    session.setPath('braces', [{ id: 'left', length: 1 }]);
    session.setPath('braces.[left].length', 2);
    session.setPath('conditions.wind', 3);
    expect(session.doc).toMatchObject({ braces: [{ id: 'left', length: 2 }], conditions: { wind: 3 } });
    const before = session.doc;
    session.setPath('braces.[gone].length', 4);
    expect(session.doc).toBe(before);
  });
});
