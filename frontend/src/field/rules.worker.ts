/// <reference lib="webworker" />
/** The rules of the server, as PHP, out of its reach. Nothing here knows what they are: it lays files and asks. */
import { PhpBase } from "php-wasm/PhpBase";
import type { Asked, Told } from "./protocol";

const scope = self as unknown as DedicatedWorkerGlobalScope;
// The build expects a page around it; it asks for nothing of it but this.
Object.assign(scope, {
  window: scope,
  document: {
    currentScript: null,
    baseURI: scope.location.href,
    addEventListener: () => undefined,
    createElement: () => ({}),
    querySelector: () => null,
  },
});

const START = `<?php
ini_set('memory_limit', '512M');
ini_set('serialize_precision', '-1');
date_default_timezone_set('UTC');
$rules = json_decode(file_get_contents('/rules.json'), true);
spl_autoload_register(static function (string $class) use ($rules): void {
    if (isset($rules[$class])) {
        $file = '/rules/'.strtr($class, '\\\\', '_').'.php';
        file_put_contents($file, $rules[$class]);
        require $file;
    }
});
@mkdir('/rules');
set_error_handler(static function (int $level, string $message, string $file, int $line): never {
    throw new ErrorException($message, 0, $level, $file, $line);
});
$desk = new App\\Field\\FieldDesk();`;
const LAY = `<?php $desk->lay(file_get_contents('/hash'), file_get_contents('/flora'));`;
const ANSWER = `<?php echo $desk->answer(file_get_contents('/request.json'));`;

type Php = PhpBase & { writeFile: (path: string, content: string | Uint8Array) => Promise<unknown>; run: (code: string) => Promise<number> };

let said = "";
let went = "";
const php = new PhpBase(import("php-wasm/runtime") as never, { version: "8.2", autoTransaction: false } as never) as Php;
const heard = (event: Event) => ((event as CustomEvent<string[]>).detail ?? []).join("");
php.addEventListener("output", (event) => {
  said += heard(event);
});
php.addEventListener("error", (event) => {
  went += heard(event);
});

async function run(code: string): Promise<string> {
  [said, went] = ["", ""];
  const status = await php.run(code);
  if (status !== 0 || went !== "" || /^\s*(PHP )?(Fatal|Parse) error/.test(said)) throw new Error(went || said || `PHP ended with ${status}.`);
  return said;
}

async function work(asked: Asked): Promise<string> {
  switch (asked.do) {
    case "start":
      await php.binary;
      await php.writeFile("/rules.json", asked.rules);
      return run(START);
    case "lay":
      await php.writeFile("/hash", asked.hash);
      await php.writeFile("/flora", new Uint8Array(asked.packed));
      return run(LAY);
    case "answer":
      await php.writeFile("/request.json", asked.request);
      return run(ANSWER);
  }
}

// one after the other: PHP does one thing at a time
let queue: Promise<void> = Promise.resolve();
scope.onmessage = ({ data }: MessageEvent<Asked>) => {
  queue = queue.then(async () => {
    let told: Told;
    try {
      told = { id: data.id, text: await work(data) };
    } catch (error) {
      told = { id: data.id, fault: error instanceof Error ? error.message : String(error) };
    }
    scope.postMessage(told);
  });
};
