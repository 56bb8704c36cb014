import { api, ApiError, ask, type Host, type Kind, type Schemas } from '../api/client';

/** What ships with the server and does not change while it runs. */
class CatalogueState {
  units = $state.raw<Schemas['DisplayUnit'][]>([]);
  drills = $state.raw<Schemas['Drill'][]>([]);
  hosts = $state.raw<Host[]>([]);
  kinds = $state.raw<Kind[]>([]);
  factors = $state.raw<Schemas['RequiredFactor'][]>([]);
  /** Hosts with their drawings, those that were looked at. */
  private drawings = $state.raw<Record<string, Host>>({});
  private asked: Record<string, boolean> = {};

  async load() {
    const [units, hosts, kinds, factors] = await Promise.all([
      ask(api.GET('/api/units')),
      ask(api.GET('/api/hosts', { params: { query: { drawings: false } } })),
      ask(api.GET('/api/kinds')),
      ask(api.GET('/api/factors')),
    ]);
    [this.units, this.drills, this.hosts, this.kinds, this.factors] = [
      units.display,
      units.drills,
      hosts,
      kinds,
      factors,
    ];
  }

  host(id: string) {
    return this.hosts.find((h) => h.id === id);
  }

  /** A host with its drawing, once that is here. */
  drawn(id: string): Host | undefined {
    return this.drawings[id];
  }

  /** Fetches the drawing of a host; tried again at the next asking when it does not come. */
  async draw(id: string) {
    if (this.asked[id]) return;
    this.asked[id] = true;
    try {
      const host = await ask(api.GET('/api/hosts/{id}', { params: { path: { id } } }));
      this.drawings = { ...this.drawings, [id]: host };
    } catch (e) {
      if (!(e instanceof ApiError)) throw e;
      this.asked[id] = false;
      setTimeout(() => void this.draw(id), 3000);
    }
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
        .filter((f) => host.hasEngine || !f.name.startsWith('rpm'))
        .map((f) => (f.name === 'speed' ? { ...f, maximum: host.topSpeed } : f))
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

export const catalogue = new CatalogueState();
