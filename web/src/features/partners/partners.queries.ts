import { at } from "../../api/at";
import { queryOptions } from "@tanstack/react-query";
import { get } from "../../api/http";
import type { EarlierPartnerCheck, Pairing, PartnerCheck, PartnerProposal } from "../../api/types";
import type { Scope } from "../../app/scope";

export const proposalQuery = (milestoneId: string, scope: Scope, pairing: Pairing) =>
  queryOptions({
    queryKey: ["partners", "proposal", milestoneId, scope, pairing],
    queryFn: () =>
      get<PartnerProposal>(at("/api/partner-checks/proposal", {}, { milestoneId, pairing, ...scope })),
    enabled: Boolean(scope.classId),
    retry: false,
    gcTime: 0,
    staleTime: Infinity,
  });

export const partnerCheckQuery = (id: string) =>
  queryOptions({
    queryKey: ["partners", "check", id],
    queryFn: () => get<PartnerCheck>(at("/api/partner-checks/{partnerCheckId}", { partnerCheckId: id })),
  });

export const earlierQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["partners", "earlier", classId ?? "none"],
    queryFn: () => get<EarlierPartnerCheck[]>(at("/api/partner-checks", {}, { classId })),
    enabled: Boolean(classId),
  });
