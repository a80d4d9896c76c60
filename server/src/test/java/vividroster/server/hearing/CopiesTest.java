package vividroster.server.hearing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import vividroster.core.progress.Trail;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;
import vividroster.testkit.TestCluster.Database;

/** A copy is worth what comes back out of it: it is put back and compared; and so is a database of an older version. */
class CopiesTest {

    @TempDir
    Path folder;

    /** Boards of every class and folders of some students, as the API answers them. */
    private static Map<String, String> pages(ApiClient director) {
        Map<String, String> pages = new LinkedHashMap<>();
        for (JsonNode one : director.get("/api/classes").json()) {
            String board = "/api/board?classId=" + one.path("id").asString();
            pages.put(board, director.get(board).text());
        }
        int i = 0;
        for (JsonNode student : director.get("/api/students").json()) {
            if (i++ % 10 == 0) {
                String address = "/api/students/" + student.path("id").asString() + "/folder";
                pages.put(address, director.get(address).text());
            }
        }
        pages.put("/api/podium", director.get("/api/podium").text());
        return pages;
    }

    @Test
    void whatIsCopiedComesBackWhole() throws IOException {
        RunningServer demo = RunningServer.shared();
        Path file = folder.resolve("copy.dump");
        assertThat(TestCluster.asOwner(demo.database(), "copy_to " + file)).endsWith("exit 0\n");
        assertThat(Files.size(file)).isGreaterThan(10_000);
        Database empty = TestCluster.shared().newDatabase();
        assertThat(TestCluster.asOwner(empty, "copy_from " + file)).endsWith("exit 0\n");
        assertThat(TestCluster.asOwner(empty, "copy_from " + file))
                .contains("There is data already")
                .endsWith("exit 1\n");
        Map<String, String> before = pages(demo.demoDirector());
        assertThat(before).hasSizeGreaterThan(15);
        try (RunningServer restored = RunningServer.start(empty, "yes")) {
            assertThat(pages(restored.demoDirector())).isEqualTo(before);
        }
    }

    @Test
    void whatIsNoCopyChangesNothing() throws IOException {
        Path file = Files.writeString(folder.resolve("copy.dump"), "no copy");
        Database empty = TestCluster.shared().newDatabase();
        assertThat(TestCluster.asOwner(empty, "copy_from " + file)).endsWith("exit 1\n");
        assertThat(TestCluster.asOwner(empty, "copy_to /dev/null/copy")).endsWith("exit 1\n");
    }

    @Test
    void aDatabaseOfAnOlderVersionIsBroughtUpToDate() throws Exception {
        Path dump = TestCluster.projectRoot().resolve("server/src/test/resources/upgrade/demo-as-of-v20.dump");
        Database old = TestCluster.shared().newDatabase();
        assertThat(TestCluster.asOwner(old, "copy_from " + dump)).endsWith("exit 0\n");
        try (RunningServer upgraded = RunningServer.start(old, "yes")) {
            ApiClient director = upgraded.demoDirector();
            Map<String, String> pages = pages(director);
            assertThat(pages.values()).allMatch(page -> page.startsWith("{") && page.length() > 50);
            assertThat(director.get("/api/podium").json().path("classes").size())
                    .isPositive();
            assertEveryTrailIsTheLedgers(upgraded);
            JsonNode orders = director.get("/api/season/orders").json();
            assertThat(orders.size()).as("its orders belong to its year").isGreaterThan(20);
        }
    }

    private static void assertEveryTrailIsTheLedgers(RunningServer server) throws Exception {
        AttemptQueries attempts = server.bean(AttemptQueries.class);
        TrailQueries trails = server.bean(TrailQueries.class);
        record Pair(UUID program, UUID student, UUID milestone) {}
        List<Pair> pairs = new ArrayList<>();
        try (Connection connection = server.database().connect();
                var row = connection
                        .createStatement()
                        .executeQuery("select distinct program_id, student_id, milestone_id from attempt")) {
            while (row.next()) {
                pairs.add(new Pair(
                        row.getObject(1, UUID.class), row.getObject(2, UUID.class), row.getObject(3, UUID.class)));
            }
        }
        assertThat(pairs).hasSizeGreaterThan(1_000);
        Map<UUID, List<Pair>> byMilestone = pairs.stream().collect(Collectors.groupingBy(Pair::milestone));
        byMilestone.forEach((milestone, ofMilestone) -> {
            UUID program = ofMilestone.getFirst().program();
            Set<UUID> students = ofMilestone.stream().map(Pair::student).collect(Collectors.toSet());
            Map<UUID, List<HeardAttempt>> heard = attempts.findHeard(program, students, milestone).stream()
                    .collect(Collectors.groupingBy(h -> h.attempt().studentId()));
            students.forEach(student -> assertThat(trails.find(program, Map.of(student, Set.of(milestone)))
                            .get(student)
                            .get(milestone))
                    .isEqualTo(Trail.of(heard.get(student).stream()
                            .map(HeardAttempt::attempt)
                            .toList())));
        });
    }
}
