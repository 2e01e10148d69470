/** Keeps the pages themselves on this device. Only where somebody takes something along: nobody else pays for it. */
export async function install(): Promise<void> {
  await navigator.serviceWorker.register("/sw.js", { scope: "/" });
  await navigator.serviceWorker.ready;
  // the first time, what loads next shall be kept already
  if (!navigator.serviceWorker.controller)
    await new Promise<void>((there) => navigator.serviceWorker.addEventListener("controllerchange", () => there(), { once: true }));
}
