package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

class DemoTest {

    private final RunningServer server = RunningServer.shared();
    private final ApiClient director = server.demoDirector();

    @Test
    void sixClassesAHundredAndFiftyStudentsAndTwentyLines() {
        assertThat(director.get("/api/classes").json().size()).isEqualTo(6);
        assertThat(director.get("/api/students").json().size()).isBetween(145, 165);
        int lines = 0;
        Set<String> kinds = new HashSet<>();
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            kinds.add(milestone.path("kind").asString());
            if (milestone.path("kind").asString().equals("LINE")) {
                lines++;
                assertThat(milestone.path("line").path("tempoBpm").asInt()).isBetween(40, 160);
                assertThat(milestone.path("line").path("concertKey").asString()).contains("m");
            }
        }
        assertThat(lines).isGreaterThanOrEqualTo(20);
        assertThat(kinds).containsExactlyInAnyOrder("LINE", "TECHNIQUE_CHECK", "PLAYING_TEST", "WRITTEN_CHECK", "BELT");
    }

    @Test
    void itsHistoryShowsEveryStateADirectorMeets() {
        Set<String> states = new HashSet<>();
        boolean carriedOver = false;
        for (JsonNode c : director.get("/api/classes").json()) {
            for (JsonNode row : director.get(
                            "/api/board?classId=" + c.path("id").asString())
                    .json()
                    .path("rows")) {
                for (JsonNode mark : row.path("marks")) {
                    states.add(mark.path("state").asString());
                    carriedOver |= mark.path("carriedOver").asBoolean();
                }
            }
        }
        assertThat(states).contains("NOT_SET", "SET", "TRIED", "PASSED", "PASSED_BY_SUBSTITUTE", "EXCUSED");
        assertThat(carriedOver).isTrue();
    }

    @Test
    void eachSectionsFormOfACheckSharesAColumnOfTheBoard() {
        for (JsonNode c : director.get("/api/classes").json()) {
            if (c.path("name").asString().equals("Beginning Winds")) {
                JsonNode board = director.get(
                                "/api/board?classId=" + c.path("id").asString())
                        .json();
                long holds = 0;
                for (JsonNode column : board.path("columns")) {
                    if (column.path("shortName").asString().equals("Hold")) {
                        holds++;
                        assertThat(column.path("milestoneIds").size()).isGreaterThan(3);
                    }
                }
                assertThat(holds).isEqualTo(1);
            }
        }
    }

    @Test
    void itIsTheSameEveryTime() {
        try (RunningServer other = RunningServer.start(TestCluster.shared().newDatabase(), "yes")) {
            assertThat(boards(other.demoDirector())).isEqualTo(boards(director)).hasSize(6);
        }
    }

    private static TreeMap<String, String> boards(ApiClient director) {
        TreeMap<String, String> boards = new TreeMap<>();
        for (JsonNode c : director.get("/api/classes").json()) {
            boards.put(
                    c.path("name").asString(),
                    director.get("/api/board.csv?classId=" + c.path("id").asString())
                            .text());
        }
        return boards;
    }

    private String classId(String name) {
        for (JsonNode c : director.get("/api/classes").json()) {
            if (c.path("name").asString().equals(name)) {
                return c.path("id").asString();
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void theRestOfItsYearIsPlannedAndAProposalWaits() {
        for (JsonNode c : director.get("/api/classes").json()) {
            JsonNode plan = director.get(
                            "/api/season/plan?classIds=" + c.path("id").asString())
                    .json();
            int chosen = 0;
            int standing = 0;
            for (JsonNode item : plan.path("items")) {
                chosen += item.path("chosen").asBoolean() ? 1 : 0;
                standing += item.path("chosen").asBoolean() && item.has("monday") ? 1 : 0;
            }
            assertThat(chosen).as(c.path("name").asString()).isGreaterThan(10);
            assertThat(standing).as(c.path("name").asString()).isGreaterThanOrEqualTo(chosen - 3);
        }
        String winds = classId("Beginning Winds");
        JsonNode waiting = director.get("/api/season/plan/proposals?classId=" + winds)
                .json()
                .get(0);
        assertThat(waiting.path("cause").asString()).contains("8 March lost");
        assertThat(waiting.path("changes").size()).isPositive();
        JsonNode forecast =
                director.get("/api/season/forecasts?classId=" + winds).json().get(0);
        for (JsonNode section : forecast.path("sections")) {
            assertThat(section.path("earlier").size())
                    .as(section.path("name").asString())
                    .isGreaterThan(8);
            boolean behind = section.path("instrument").asString().equals("horn");
            assertThat(section.path("chance").asInt() < 50)
                    .as(section.path("name").asString())
                    .isEqualTo(behind || section.path("instrument").asString().equals("euphonium"));
        }
    }

    @Test
    void aPlaceOnAStringDrivesTheFingering() {
        for (JsonNode part : director.get("/api/season/sheet?classId=" + classId("Chamber Strings"))
                .json()
                .path("parts")) {
            if (part.path("instrument").asString().equals("viola")) {
                assertThat(part.toString())
                        .contains("G string, third position")
                        .contains("2 on G: D 4, on the fourth finger's tape");
                return;
            }
        }
        throw new AssertionError("no violas");
    }

    @Test
    void anEmptyProgramHasADirectorAndAYearAndNothingElse() {
        var out = new java.io.ByteArrayOutputStream();
        var before = System.out;
        System.setOut(new java.io.PrintStream(out, true));
        try (RunningServer empty = RunningServer.start(TestCluster.shared().newDatabase(), "no")) {
            String password = out.toString()
                    .lines()
                    .filter(l -> l.startsWith("First sign-in: director / "))
                    .findFirst()
                    .orElseThrow()
                    .substring(26);
            ApiClient first = empty.visitor().signIn("director", password);
            assertThat(first.get("/api/students").json().size()).isZero();
            assertThat(first.get("/api/podium").status()).isEqualTo(200);
            assertThat(first.get("/api/library").json().path("milestones").size())
                    .isZero();
            assertThat(first.get("/api/season/orders").json().size()).isZero();
        } finally {
            System.setOut(before);
        }
    }
}
