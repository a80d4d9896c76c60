package vividroster.server.testing;

import io.swagger.v3.oas.annotations.Operation;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ScopeRequest;
import vividroster.server.testing.TestResultViews.TestResultsView;

/** How sections stand in a test. */
@RestController
@RequestMapping("/api/tests/{milestoneId}/results")
@PreAuthorize("hasAuthority('TEACH')")
class TestResultController {

    private final TestResultPages pages;

    TestResultController(TestResultPages pages) {
        this.pages = pages;
    }

    @GetMapping
    @Operation(
            operationId = "testResults",
            summary = "How a section stands in a test, criterion by criterion, and how far its listeners agree")
    TestResultsView results(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest scope) {
        return pages.of(person, milestoneId, scope.toScope());
    }
}
