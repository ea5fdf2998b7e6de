/** Why a batch is not moved. */
export type BatchesRefusal = { readonly room: "batches"; readonly kind: "batch-gone" | "sown-already" };
