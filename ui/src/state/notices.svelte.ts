const STANDS = 9000;

/** A word on what happened away from where the eye is; it stands for a while. */
class Notices {
  text = $state('');
  private timer: ReturnType<typeof setTimeout> | undefined;

  say(text: string) {
    this.text = text;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => (this.text = ''), STANDS);
  }
}

export const notices = new Notices();
