/** What happened to a load, told by whoever stood at the canner. Each has its own id and its own time. */
export type KitchenEvent = { readonly id: string; readonly loadId: string; readonly at: number } & (
  | {
      readonly type: 'load-started';
      readonly jars: number;
      /** The canner it went into, where that is not the one of its batch. */
      readonly cannerId?: string;
    }
  | { readonly type: 'boil-reached' }
  | { readonly type: 'boil-lost' }
  | { readonly type: 'heat-off' }
  | { readonly type: 'jars-out' }
  | {
      readonly type: 'seal-checked';
      /** One entry a jar, in the order of the load map. */
      readonly sealed: readonly boolean[];
      /** Ids for the jars that go to the shelf and for those that did not seal. */
      readonly sealedLotId: string;
      readonly unsealedLotId: string;
    }
);

export type KitchenEventType = KitchenEvent['type'];
