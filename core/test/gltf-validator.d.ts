declare module 'gltf-validator' {
  /** What the validator found in a file: its issues and what it holds. */
  export function validateBytes(bytes: Uint8Array): Promise<{
    readonly issues: { readonly numErrors: number; readonly numWarnings: number };
    readonly info: { readonly totalTriangleCount: number };
  }>;
}
