/** What of the reader of design models is used here; it ships without types. */
declare module 'occt-import-js' {
  export interface ReadMesh {
    name: string;
    attributes: { position: { array: number[] }; normal?: { array: number[] } };
    index: { array: number[] };
  }

  export interface ReadNode {
    name: string;
    /** Which of the meshes. */
    meshes: number[];
    children: ReadNode[];
  }

  export interface ReadResult {
    success: boolean;
    root: ReadNode;
    meshes: ReadMesh[];
  }

  interface Reader {
    ReadStepFile(content: Uint8Array, params: object | null): ReadResult;
  }

  export default function reader(options: { wasmBinary: ArrayBuffer }): Promise<Reader>;
}
