declare module '*.woff2' {
  const source: string;
  export default source;
}
