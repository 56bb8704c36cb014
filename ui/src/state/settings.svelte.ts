import type { UnitSystem } from '../api/client';
import { usualSystem } from '../parts/locale';
import { read, write } from './kept';

const stored = (key: string, fallback: string) => read('ochema.' + key) ?? fallback;

/** What the user chose for this browser: units, fractions of inches, theme. */
class Settings {
  system = $state<UnitSystem>(stored('system', usualSystem) as UnitSystem);
  fractions = $state(stored('fractions', 'yes') === 'yes');
  /** Paper that is printed on; while nobody said, what is sold where one measures so. */
  private chosenPaper = $state(stored('paper', ''));
  theme = $state(stored('theme', 'daylight'));
  /** Single keys act; off for those who speak or whose hands slip. */
  keys = $state(stored('keys', 'on') === 'on');

  constructor() {
    this.applyTheme(this.theme);
  }

  toggleUnits() {
    // Metric, then inches as sixteenths, then decimal inches.
    if (this.system === 'metric') [this.system, this.fractions] = ['inch', true];
    else if (this.fractions) this.fractions = false;
    else this.system = 'metric';
    this.keep();
  }

  get paper() {
    return (this.chosenPaper || (this.system === 'metric' ? 'a4' : 'letter')) as 'a4' | 'letter';
  }

  set paper(paper: 'a4' | 'letter') {
    this.chosenPaper = paper;
    write('ochema.paper', paper);
  }

  toggleTheme() {
    const next = this.theme === 'daylight' ? 'night' : 'daylight';
    // The page first: the scene reads its colours from it as soon as the state changes.
    this.applyTheme(next);
    this.theme = next;
    this.keep();
  }

  toggleKeys() {
    this.keys = !this.keys;
    this.keep();
  }

  get unitsLabel() {
    return this.system === 'metric' ? 'mm · km/h' : this.fractions ? '1/16 in · mph' : '0.001 in · mph';
  }

  private applyTheme(theme: string) {
    document.documentElement.dataset.theme = theme;
  }

  private keep() {
    write('ochema.system', this.system);
    write('ochema.fractions', this.fractions ? 'yes' : 'no');
    write('ochema.theme', this.theme);
    write('ochema.keys', this.keys ? 'on' : 'off');
  }
}

export const settings = new Settings();
