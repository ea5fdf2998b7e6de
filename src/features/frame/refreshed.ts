let refreshedAt = 0;

/** When this screen last reloaded the page. */
export function lastRefreshAt(): number {
  return refreshedAt;
}

export function noteRefresh(): void {
  refreshedAt = Date.now();
}
