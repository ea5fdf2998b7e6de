let refreshedAt = 0;

/** When this screen last asked for the page anew. */
export function lastRefreshAt(): number {
  return refreshedAt;
}

export function noteRefresh(): void {
  refreshedAt = Date.now();
}
