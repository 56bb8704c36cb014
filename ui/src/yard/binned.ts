/** A rig that was just put in the bin, and where its card stood: what takes it back stands there too. */
export type Binned = { id: string; name: string; version: number; filmId: string; index: number };
