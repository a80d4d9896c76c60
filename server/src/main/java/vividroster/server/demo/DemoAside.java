package vividroster.server.demo;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.account.Accounts;
import vividroster.server.account.Entering;
import vividroster.server.office.Office;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** The made-up school beside a real programme: never mixed with it, looked around in, thrown away. */
@Service
class DemoAside {

    private final DemoLoader loader;
    private final Office office;
    private final Accounts accounts;
    private final Locks locks;

    DemoAside(DemoLoader loader, Office office, Accounts accounts, Locks locks) {
        this.loader = loader;
        this.office = office;
        this.accounts = accounts;
        this.locks = locks;
    }

    /** Loads it at the first time. @return its director */
    @Transactional
    SignedIn guest(UUID programId) {
        if (office.isDemo(programId)) {
            throw Problem.conflict("This is a made-up school already; look around.");
        }
        locks.hold(programId, "aside");
        UUID aside = office.aside(programId).orElseGet(() -> loader.loadAside(programId));
        return accounts.anyDirector(aside);
    }

    /** Looking around over HTTP. */
    @RestController
    @RequestMapping("/api/look-around")
    static class LookAroundController {

        private final DemoAside aside;
        private final Office office;
        private final Entering entering;

        LookAroundController(DemoAside aside, Office office, Entering entering) {
            this.aside = aside;
            this.office = office;
            this.entering = entering;
        }

        @PostMapping
        @ResponseStatus(HttpStatus.NO_CONTENT)
        @PreAuthorize("hasAuthority('DIRECT')")
        @Operation(operationId = "lookAround", summary = "Look around in a made-up school beside one's own")
        void lookAround(
                @AuthenticationPrincipal SignedIn person, HttpServletRequest http, HttpServletResponse response) {
            entering.visit(aside.guest(person.programId()), http, response);
        }

        @PostMapping("/home")
        @ResponseStatus(HttpStatus.NO_CONTENT)
        @Operation(operationId = "comeHome", summary = "Back from the made-up school to one's own")
        void home(HttpServletRequest http, HttpServletResponse response) {
            entering.begin(
                    entering.visitor(http).orElseThrow(() -> Problem.conflict("You are in your own programme.")),
                    http,
                    response);
        }

        @DeleteMapping
        @ResponseStatus(HttpStatus.NO_CONTENT)
        @PreAuthorize("hasAuthority('DIRECT')")
        @Operation(operationId = "throwAsideAway", summary = "Throw the made-up school beside one's own away")
        void throwAway(@AuthenticationPrincipal SignedIn person) {
            office.throwAsideAway(person.programId());
        }
    }
}
