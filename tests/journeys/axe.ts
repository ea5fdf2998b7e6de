import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";

/** Looks at a page with axe. No page of ours has frames, so that it is spared the blank page it else opens at each look. */
export const axe = (page: Page) => new AxeBuilder({ page }).setLegacyMode(true);
