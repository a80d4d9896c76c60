import { queryOptions } from "@tanstack/react-query";
import { get, query } from "../../api/http";
import type { EarlierPartnerCheck, Pairing, PartnerCheck, PartnerProposal } from "../../api/types";
import type { Scope } from "../../app/scope";

export const proposalQuery = (milestoneId: string, scope: Scope, pairing: Pairing) =>
  queryOptions({
    queryKey: ["partners", "proposal", milestoneId, scope, pairing],
    queryFn: () =>
      get<PartnerProposal>(`/api/partner-checks/proposal${query({ milestoneId, pairing, ...scope })}`),
    enabled: Boolean(scope.classId),
    retry: false,
    gcTime: 0,
    staleTime: Infinity,
  });

export const partnerCheckQuery = (id: string) =>
  queryOptions({
    queryKey: ["partners", "check", id],
    queryFn: () => get<PartnerCheck>(`/api/partner-checks/${id}`),
  });

export const earlierQuery = (classId: string | undefined) =>
  queryOptions({
    queryKey: ["partners", "earlier", classId ?? "none"],
    queryFn: () => get<EarlierPartnerCheck[]>(`/api/partner-checks${query({ classId })}`),
    enabled: Boolean(classId),
  });
