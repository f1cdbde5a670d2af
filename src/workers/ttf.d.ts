/** A font bundled into a worker, in base64. */
declare module '*.ttf' {
  const base64: string;
  export default base64;
}
