// What the browser has and jsdom has not.
Object.defineProperty(window, "scrollTo", { value: () => undefined });
if (!("randomUUID" in crypto))
  Object.defineProperty(crypto, "randomUUID", { value: () => "00000000-0000-4000-8000-000000000000" });

class NoResizes {
  observe() {}
  unobserve() {}
  disconnect() {}
}
Object.assign(globalThis, { ResizeObserver: NoResizes });

jest.mock("next/navigation", () => ({
  ...jest.requireActual<object>("next/navigation"),
  useRouter: () => router,
  useSearchParams: () => new URLSearchParams(window.location.search),
}));
jest.mock("sonner", () => ({ toast: Object.assign(jest.fn(), { success: jest.fn(), error: jest.fn() }) }));

/** Where components go, and how often they ask for the page again. */
const router = { push: jest.fn(), refresh: jest.fn() };

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  jest.clearAllMocks();
});

// Browsers have it, jsdom has not; forms hold plain data.
globalThis.structuredClone ??= <Value>(value: Value) => JSON.parse(JSON.stringify(value)) as Value;
