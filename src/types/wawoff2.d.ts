declare module 'wawoff2' {
  const api: { decompress(woff2: Uint8Array): Promise<Uint8Array> };
  export default api;
}
