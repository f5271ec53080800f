declare module "gltf-validator" {
  interface Issue {
    readonly code: string;
    readonly message: string;
    /** 0 for errors, 1 for warnings. */
    readonly severity: number;
  }
  export function validateBytes(
    bytes: Uint8Array,
  ): Promise<{ readonly issues: { readonly messages: readonly Issue[] } }>;
}
