declare module "php-wasm/runtime";
