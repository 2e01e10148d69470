/** What a device can do beside showing: speak, and tap back. Both only where they are there, and where somebody wants them. */
const WANTED = "read-aloud";

export const canSpeak = (): boolean => "speechSynthesis" in window;
export const wantsReading = (): boolean => canSpeak() && localStorage.getItem(WANTED) !== null;
export function wantReading(wanted: boolean) {
  if (wanted) localStorage.setItem(WANTED, "yes");
  else {
    localStorage.removeItem(WANTED);
    hush();
  }
}

export function hush() {
  if (canSpeak()) window.speechSynthesis.cancel();
}

/** Says it, in place of whatever is being said. */
export function say(text: string) {
  if (!canSpeak()) return;
  hush();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = "en";
  window.speechSynthesis.speak(words);
}

/** A short tap for something taken, a longer one for something stored. */
export function tap(kind: "taken" | "stored") {
  if (window.matchMedia?.("(prefers-reduced-motion: reduce)").matches) return;
  navigator.vibrate?.(kind === "taken" ? 12 : [20, 40, 20]);
}
