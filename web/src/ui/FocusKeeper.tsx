import { useEffect } from "react";

const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), summary, [tabindex]:not([tabindex="-1"])';

/**
 * Whoever works by keyboard never loses the place: when what had the focus goes away, the focus moves to what stands
 * there now, and what was only disabled for a moment has it back.
 */
export function FocusKeeper() {
  useEffect(() => {
    let last: Place | null = null;
    const remember = (event: FocusEvent) => {
      if (event.target instanceof Element && event.target !== document.body) last = placeOf(event.target);
    };
    const leave = ({ target, relatedTarget }: FocusEvent) => {
      // On its way to somewhere else: what changes meanwhile must not call it back, nor scroll under a finger.
      if (relatedTarget) last = null;
      // Left on purpose, with a click beside it, and not because it went away.
      queueMicrotask(() => {
        const there = target instanceof Element && target.isConnected && isShown(target);
        if (there && last?.element === target && document.activeElement === document.body) last = null;
      });
    };
    const look = () => {
      const { activeElement } = document;
      if (!last || (activeElement && activeElement !== document.body)) {
        // The place of what has the focus may have moved since.
        if (activeElement && activeElement !== document.body) last = placeOf(activeElement);
        return;
      }
      if (last.element.isConnected && isShown(last.element)) {
        focus(last.element);
        return;
      }
      const next = inPlaceOf(last);
      if (next) focus(next);
    };
    const observer = new MutationObserver(look);
    document.addEventListener("focusin", remember);
    // Before the page itself hears of it, and changes.
    document.addEventListener("focusout", leave, true);
    observer.observe(document.body, {
      childList: true,
      subtree: true,
      attributes: true,
      attributeFilter: ["disabled", "hidden"],
    });
    return () => {
      observer.disconnect();
      document.removeEventListener("focusin", remember);
      document.removeEventListener("focusout", leave, true);
    };
  }, []);
  return null;
}

/** Where an element stood: its ancestors from the inside out, each with the position of the branch it was on. */
type Place = { element: Element; path: { parent: Element; at: number }[] };

function placeOf(element: Element): Place {
  const path: Place["path"] = [];
  for (let one = element; one.parentElement; one = one.parentElement)
    path.push({ parent: one.parentElement, at: [...one.parentElement.children].indexOf(one) });
  return { element, path };
}

function inPlaceOf({ path }: Place): Element | null {
  const left = path.find(({ parent }) => parent.isConnected);
  if (!left) return null;
  // The page is another one: it is read from its top.
  if (left.parent.matches("main, body, #root")) return document.querySelector("main");
  const { children } = left.parent;
  for (const at of [left.at, left.at - 1]) {
    const found = children[at] && firstIn(children[at]);
    if (found) return found;
  }
  return firstIn(left.parent) ?? left.parent;
}

function firstIn(element: Element): Element | null {
  if (element.matches(FOCUSABLE) && isShown(element)) return element;
  return [...element.querySelectorAll(FOCUSABLE)].find(isShown) ?? null;
}

function isShown(element: Element): boolean {
  return !element.matches(":disabled") && element.closest("[hidden], [aria-hidden=true]") === null;
}

/** A field that takes the focus on a phone brings its keyboard over half of the page. */
const bringsKeys = (element: Element) =>
  element.matches("input, textarea") && (window.matchMedia?.("(pointer: coarse)").matches ?? false);

function focus(found: Element) {
  const element = bringsKeys(found) ? (found.parentElement ?? found) : found;
  if (!(element instanceof HTMLElement || element instanceof SVGElement)) return;
  if (!element.matches(FOCUSABLE)) element.setAttribute("tabindex", "-1");
  element.focus({ preventScroll: !element.matches(FOCUSABLE) });
}
