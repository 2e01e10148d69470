declare module "virtual:marks" {
  const marks: Record<string, string>;
  export default marks;
}
