import type { Role } from '@ratio/core/shop';
import type { Component } from 'vue';

/** A page: its address, how it is loaded, and what stands above it. */
export interface Page {
  readonly path: string;
  readonly load: () => Promise<{ default: Component }>;
  readonly title: string;
  /** The role that a reader needs at least; anybody where it is left out. */
  readonly least?: Role;
  /** Without the line of stations. */
  readonly bare?: true;
}

declare module 'vue-router' {
  interface RouteMeta {
    title?: string;
    least?: Role;
    bare?: true;
  }
}
