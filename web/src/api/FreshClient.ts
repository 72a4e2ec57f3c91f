import { type InvalidateQueryFilters, type InvalidateOptions, QueryClient } from "@tanstack/react-query";

/**
 * A client in which nothing stays as it was before a change: what is on its first way here when the
 * change comes is asked for again, for it may have left before. The plain client lets it come and takes
 * it for new.
 */
export class FreshClient extends QueryClient {
  override async invalidateQueries(filters: InvalidateQueryFilters = {}, options?: InvalidateOptions) {
    await this.cancelQueries(
      {
        ...filters,
        predicate: (query) =>
          query.state.data === undefined &&
          query.state.fetchStatus === "fetching" &&
          (filters.predicate?.(query) ?? true),
      },
      { silent: true },
    );
    return super.invalidateQueries(filters, options);
  }
}
