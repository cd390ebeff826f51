import type { DragContainerElement } from 'd3-drag';

/**
 * What a drag is measured in: the page itself, not an element of it. To say where an element stands the browser lays
 * the whole page out anew, at every move of the hand; the page's own coordinates come with the event.
 */
export const onThePage = (): DragContainerElement => ({}) as DragContainerElement;
