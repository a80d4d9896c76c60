package vividroster.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.access.Role;
import vividroster.server.account.Accounts;
import vividroster.server.account.Programmes;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What is done from the shell of the server, and the published passwords where others can reach it. */
class ShellTasksTest {

    private final RunningServer server = RunningServer.shared();

    private String said(String task, String name) {
        return new ShellTasks(server.bean(Accounts.class), server.bean(Programmes.class), null, task, name).said();
    }

    private static String passwordIn(String sentence) {
        var found = Pattern.compile("with (\\S+?)(?:;| from)").matcher(sentence);
        assertThat(found.find()).as(sentence).isTrue();
        return found.group(1);
    }

    @Test
    void aNewPasswordCountsAndEndsSessions() {
        School school = School.open(server);
        var before = school.director();
        String said = said("reset-password", school.directorName());
        assertThat(server.visitor()
                        .trySignIn(school.directorName(), passwordIn(said))
                        .status())
                .isEqualTo(200);
        assertThat(before.get("/api/session").status()).isEqualTo(401);
        assertThat(said("reset-password", "nobody-at-all"))
                .isEqualTo("Nobody signs in as \"nobody-at-all\"; nothing was changed.");
    }

    @Test
    void anotherProgrammeOnTheSameServerIsAlone() {
        String name = "Harbour Hill " + UUID.randomUUID();
        String said = said("open-programme", name);
        String signIn = ShellTasks.signInNameOf(name);
        var director = server.visitor().signIn(signIn, passwordIn(said));
        assertThat(director.get("/api/session").json().path("program").asString())
                .isEqualTo(name);
        assertThat(director.get("/api/classes").json()).isEmpty();
        assertThat(said("open-programme", name)).contains("is taken").endsWith("Nothing was changed.");
    }

    @ParameterizedTest
    @CsvSource({"Harbour Hill Middle, harbour-hill-middle", "Ånes Skole!, ånes-skole", "***, director"})
    void aProgrammesNameBecomesASignInName(String programme, String name) {
        assertThat(ShellTasks.signInNameOf(programme)).isEqualTo(name);
    }

    @Test
    void publishedPasswordsWorkOnThisMachineAlone() {
        School school = School.open(server);
        Accounts accounts = server.bean(Accounts.class);
        String name = "published-" + UUID.randomUUID();
        accounts.add(school.programId(), name, "Odalys", Role.DIRECTOR, "ferry-to-saltgrass");
        accounts.replacePublished(name, "another one entirely", "seven ferries at dusk");
        assertThat(server.visitor().trySignIn(name, "ferry-to-saltgrass").status())
                .as("somebody who has their own keeps it")
                .isEqualTo(200);
        accounts.replacePublished(name, "ferry-to-saltgrass", "seven ferries at dusk");
        assertThat(server.visitor().trySignIn(name, "ferry-to-saltgrass").status())
                .isEqualTo(401);
    }
}
