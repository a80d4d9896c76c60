import { QueryClient, type QueryPersister } from "@tanstack/react-query";
import { Problem } from "../../api/http";
import { KeptReads } from "./keptReads";
import { DeviceReads } from "./readStore";

export const keptReads = new KeptReads(new DeviceReads());

/** Every read goes by what the device keeps, which answers while the server is away. */
const persister: QueryPersister = (queryFn, context, query) =>
  keptReads.read(
    query.queryKey,
    () => queryFn(context),
    query.state.data,
    // A run is not reshuffled under the director's hands.
    (data) => (query.queryKey[0] === "run" ? undefined : void query.setData(data)),
  );

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 20_000,
      networkMode: "always",
      persister,
      retry: (count, error) => !(error instanceof Problem && error.status < 500) && count < 3,
    },
    mutations: { networkMode: "always" },
  },
});
