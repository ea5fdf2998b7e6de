declare module "pino-roll" {
  import type { SonicBoom } from "sonic-boom";

  /** The part of its options that we use. */
  export default function build(options: {
    readonly file: string;
    readonly size: string;
    readonly limit: { readonly count: number };
    readonly mkdir: boolean;
    readonly symlink: boolean;
  }): Promise<SonicBoom>;
}
