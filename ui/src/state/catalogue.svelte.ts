import { api, ApiError, ask, type Host, type Kind, type Schemas } from '../api/client';
import { shelf } from './shelf.svelte';

/** What ships with the server and does not change while it runs. */
class CatalogueState {
  units = $state.raw<Schemas['DisplayUnit'][]>([]);
  drills = $state.raw<Schemas['Drill'][]>([]);
  /** Names of the hosts, for lists. */
  hosts = $state.raw<Schemas['HostName'][]>([]);
  /** How long answers may take. */
  limits = $state.raw<Schemas['Limits']>({ search: 0 });
  kinds = $state.raw<Kind[]>([]);
  factors = $state.raw<Schemas['RequiredFactor'][]>([]);
  /** The hosts that were looked at, whole. */
  private whole = $state.raw<Record<string, Host>>({});
  private asked: Record<string, Promise<void>> = {};
  private opened: Promise<void> | null = null;

  /** What every screen needs. */
  async load() {
    const [units, hosts, limits] = await Promise.all([
      ask(api.GET('/api/units')),
      ask(api.GET('/api/hosts/names')),
      ask(api.GET('/api/limits')),
    ]);
    [this.units, this.drills, this.hosts, this.limits] = [units.display, units.drills, hosts, limits];
  }

  /** What a rig on a host is worked on with. */
  async open(hostId: string) {
    this.opened ??= once(
      async () => {
        [this.kinds, this.factors] = await Promise.all([
          ask(api.GET('/api/kinds')),
          ask(api.GET('/api/factors')),
          shelf.loadOwn(),
        ]);
      },
      () => (this.opened = null),
    );
    await Promise.all([this.opened, this.fetch(hostId)]);
  }

  /** What a phone needs of a host: how its day is asked for, and its drawing. */
  async openForDay(hostId: string) {
    await Promise.all([
      this.fetch(hostId),
      this.kinds.length
        ? null
        : ask(api.GET('/api/kinds')).then((kinds) => {
            this.kinds = kinds;
          }),
    ]);
  }

  /** The shelf has changed: so have the choices. */
  async restock() {
    if (this.opened) this.kinds = await ask(api.GET('/api/kinds'));
  }

  name(id: string) {
    return this.hosts.find((h) => h.id === id);
  }

  /** A host that was opened or drawn. */
  host(id: string): Host | undefined {
    return this.whole[id];
  }

  /** Fetches a host for its drawing; tried again when it does not come. */
  async draw(id: string) {
    try {
      await this.fetch(id);
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      setTimeout(() => void this.draw(id), 3000);
    }
  }

  private fetch(id: string): Promise<void> {
    return (this.asked[id] ??= once(
      async () => {
        const host = await ask(api.GET('/api/hosts/{id}', { params: { path: { id } } }));
        this.whole = { ...this.whole, [id]: host };
      },
      () => delete this.asked[id],
    ));
  }

  kind(station: string, id: string) {
    return this.kinds.find((k) => k.station === station && k.id === id);
  }

  /** The conditions as a host calls them: what it goes over is road, air, water or gait. */
  conditions(hostId: string): Kind | undefined {
    const run = this.kind('run', 'run');
    const host = this.host(hostId);
    if (!run || !host) return run;
    const going = host.going;
    return {
      ...run,
      fields: run.fields
        .filter((f) => host.traits.includes(f.trait ?? 'none'))
        .map((f) => (f.name === 'speed' ? { ...f, maximum: host.drive.top } : f))
        .map((f) =>
          f.name === 'road'
            ? {
                ...f,
                label: going.label,
                choices:
                  f.choices?.slice(0, host.goings).map((c) => ({
                    ...c,
                    label: going[c.id as 'smooth' | 'average' | 'rough' | 'track' | 'field'] ?? c.label,
                  })) ?? null,
              }
            : f,
        ),
    };
  }
}

/** Does something once; what did not come is asked for again the next time. */
function once(work: () => Promise<void>, failed: () => unknown): Promise<void> {
  const under = work();
  under.catch(failed);
  return under;
}

export const catalogue = new CatalogueState();
