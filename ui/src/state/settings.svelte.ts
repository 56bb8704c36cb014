import type { UnitSystem } from '../api/client';

const stored = (key: string, fallback: string) => localStorage.getItem('ochema.' + key) ?? fallback;

/** What the user chose for this browser: units, fractions of inches, theme. */
class Settings {
  system = $state<UnitSystem>(stored('system', 'metric') as UnitSystem);
  fractions = $state(stored('fractions', 'yes') === 'yes');
  theme = $state(stored('theme', 'daylight'));

  toggleUnits() {
    // Metric, then inches as sixteenths, then decimal inches.
    if (this.system === 'metric') [this.system, this.fractions] = ['inch', true];
    else if (this.fractions) this.fractions = false;
    else this.system = 'metric';
    this.keep();
  }

  toggleTheme() {
    this.theme = this.theme === 'daylight' ? 'night' : 'daylight';
    this.keep();
  }

  get unitsLabel() {
    return this.system === 'metric' ? 'mm · km/h' : this.fractions ? '1/16 in · mph' : '0.001 in · mph';
  }

  private keep() {
    localStorage.setItem('ochema.system', this.system);
    localStorage.setItem('ochema.fractions', this.fractions ? 'yes' : 'no');
    localStorage.setItem('ochema.theme', this.theme);
  }
}

export const settings = new Settings();
