package vividroster.testkit;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.ApiDocument.Operation;

/** Everything that may be wrong about what is sent to each address of the API, the same every time. */
public final class HostileRequests {

    public static final long SEED = 20_261_007;
    /** Of all that could be sent, so many are. */
    private static final int MOST = 4_500;

    private static final Object MISSING = new Object();
    private static final String ABC = "X:1\nT:First light\nM:4/4\nL:1/4\nK:Bb\nB c d e|B4|]\n";

    private static final String ROSTER = "name,class,instrument\nPia Noon,Winds,Flute\n";

    /** What a field is where any value of its type would be refused. */
    private static final Map<String, Object> GOOD = Map.ofEntries(
            Map.entry("tempoBpm", 80),
            Map.entry("minutes", 20),
            Map.entry("marks", List.of()),
            Map.entry("watch", List.of("Tall", "Round", "Full")),
            Map.entry("carries", List.of()),
            Map.entry("tones", List.of()),
            Map.entry("after", List.of()),
            Map.entry("appliesTo", List.of("flute")),
            Map.entry("notesUsed", "Bb3 C4"),
            Map.entry("valuesIntroduced", List.of("half")),
            Map.entry("signsIntroduced", List.of()),
            Map.entry("abc", ABC),
            Map.entry("password", "four bows to a note"),
            Map.entry("kneeCm", 40),
            Map.entry("value", 12.5));

    private final RunningServer server;
    private final School school;
    private final ApiDocument document = ApiDocument.kept();
    private final Map<String, String> known = new HashMap<>();
    private ApiClient director;

    /** Of a school, which is filled with something of everything, so that there is something to break. */
    public HostileRequests(RunningServer server, School school) {
        this.server = server;
        this.school = school;
        this.director = school.director();
        fillSchool();
    }

    /** What a field can be instead of what it should be. */
    private static List<Object> instead(String otherId) {
        List<Object> values = new ArrayList<>(List.of(
                MISSING,
                "",
                "   ",
                "x",
                "null",
                "any",
                "no-such-instrument",
                "a\u0000b",
                "\uD800",
                "'; drop table attempt; --",
                "<script>alert(1)</script>",
                "\uD83C\uDFBA".repeat(40),
                "a".repeat(500),
                "a".repeat(200_000),
                "-999999999-01-01",
                "+999999999-12-31",
                "1066-10-14",
                "9999-12-31",
                "2026-13-45",
                "2026-10-07T10:00:00Z",
                UUID.randomUUID().toString(),
                otherId,
                0,
                -1,
                3_000_000_000L,
                Long.MIN_VALUE,
                1e308,
                0.1));
        values.addAll(List.of(true, List.of(), List.of(1, "a"), Map.of(), Map.of("a\u0000", "b"), List.of(List.of())));
        values.add(null);
        values.add(Collections.nCopies(3_000, "a"));
        return values;
    }

    /** @param what is wrong about it, in words */
    public record Request(Operation operation, Map<String, Object> parameters, Object body, String what) {}

    /** Every address of the document. */
    public List<Operation> operations() {
        return document.operations();
    }

    /** What is sent, a sample in an order of its own. */
    public List<Request> sample() {
        List<Request> requests = new ArrayList<>();
        operations().forEach(operation -> requests.addAll(requests(operation)));
        Collections.shuffle(requests, new Random(SEED));
        return requests.subList(0, Math.min(MOST, requests.size()));
    }

    /** Signs the director in anew. */
    public ApiClient signInAgain() {
        director = school.director();
        return director;
    }

    public String classId() {
        return known.get("classId");
    }

    /** The status of everything that can be read, by address. */
    public Map<String, String> readable() {
        Map<String, String> statuses = new LinkedHashMap<>();
        operations().stream()
                .filter(operation -> operation.method().equals("GET"))
                .forEach(operation -> {
                    Answer answer = send(new Request(operation, good(operation), null, "what it should be"));
                    statuses.put(
                            operation.path(), answer.status() == 200 ? "200" : answer.status() + " " + answer.text());
                });
        return statuses;
    }

    /** One thing wrong at a time, in each parameter and each field of the body and of what lies in it. */
    private List<Request> requests(Operation operation) {
        List<Request> made = new ArrayList<>();
        String other = school.id(operation.path().contains("milestone") ? "Ana Reed" : "line")
                .toString();
        Object body = operation.body().isMissingNode() ? null : value("", operation.body(), 0);
        operation
                .parameters()
                .keySet()
                .forEach(name -> instead(other).forEach(value -> {
                    Map<String, Object> parameters = good(operation);
                    parameters.put(name, value);
                    made.add(new Request(operation, parameters, body, "parameter " + name + " " + shown(value)));
                }));
        if (body instanceof Map<?, ?> fields) {
            fields.keySet()
                    .forEach(field -> instead(other).forEach(value -> {
                        made.add(new Request(
                                operation,
                                good(operation),
                                with(fields, field, value),
                                "field " + field + " " + shown(value)));
                        if (fields.get(field) instanceof List<?> list && !list.isEmpty()) {
                            made.add(new Request(
                                    operation,
                                    good(operation),
                                    with(fields, field, Collections.singletonList(value == MISSING ? null : value)),
                                    "one of " + field + " " + shown(value)));
                            if (list.getFirst() instanceof Map<?, ?> inner) {
                                inner.keySet()
                                        .forEach(key -> made.add(new Request(
                                                operation,
                                                good(operation),
                                                with(fields, field, List.of(with(inner, key, value))),
                                                "field " + field + "." + key + " " + shown(value))));
                            }
                        }
                        if (fields.get(field) instanceof Map<?, ?> inner) {
                            inner.keySet()
                                    .forEach(key -> made.add(new Request(
                                            operation,
                                            good(operation),
                                            with(fields, field, with(inner, key, value)),
                                            "field " + field + "." + key + " " + shown(value))));
                        }
                    }));
        }
        if (!operation.method().equals("GET")) {
            for (String raw : List.of("", "{", "[]", "null", "\"a\"", "7", "{\"a\":".repeat(2_000), "\u0000")) {
                made.add(new Request(
                        operation, good(operation), new Raw(raw, "application/json"), "body " + shown(raw)));
            }
            made.add(new Request(
                    operation, good(operation), new Raw("a=b", "application/x-www-form-urlencoded"), "a form"));
            made.add(new Request(
                    operation,
                    good(operation),
                    new Raw("--x", "multipart/form-data; boundary=x"),
                    "a broken multipart"));
            made.add(new Request(operation, good(operation), new Raw("--x", "multipart/form-data"), "no boundary"));
            made.add(new Request(operation, good(operation), new Raw("<a/>", "text/xml"), "XML"));
            made.add(new Request(operation, good(operation), body, "what it should be"));
        }
        return made;
    }

    private record Raw(String text, String type) {}

    private static Map<Object, Object> with(Map<?, ?> fields, Object field, Object value) {
        Map<Object, Object> changed = new LinkedHashMap<>(fields);
        if (value == MISSING) {
            changed.remove(field);
        } else {
            changed.put(field, value);
        }
        return changed;
    }

    private static String shown(Object value) {
        String text = value == MISSING ? "missing" : String.valueOf(value);
        return text.length() > 60 ? text.substring(0, 60) + "… of " + text.length() : text;
    }

    public Answer send(Request request) {
        Operation operation = request.operation();
        String path = operation.path();
        StringBuilder query = new StringBuilder();
        for (Map.Entry<String, Object> entry : request.parameters().entrySet()) {
            Object value = entry.getValue();
            String text = value instanceof String ? (String) value : String.valueOf(value);
            String encoded = URLEncoder.encode(
                            text.length() > 3_000 ? text.substring(0, 3_000) : text, StandardCharsets.UTF_8)
                    .replace("+", "%20");
            if (operation.parameters().get(entry.getKey()).in().equals("path")) {
                path = path.replace("{" + entry.getKey() + "}", value == MISSING ? "missing" : encoded);
            } else if (value != MISSING) {
                query.append(query.isEmpty() ? '?' : '&')
                        .append(entry.getKey())
                        .append('=')
                        .append(encoded);
            }
        }
        String address = path + query;
        boolean signsOut =
                operation.method().equals("DELETE") && operation.path().equals("/api/session");
        if (signsOut) {
            return server.visitor().delete(address);
        }
        // Nobody signed in: wrong passwords of the director would keep the director out afterwards.
        if (operation.path().startsWith("/api/session") && operation.method().equals("POST")) {
            ApiClient visitor = server.visitor();
            visitor.get("/api/session");
            return sent(visitor, operation, address, request.body());
        }
        return sent(director, operation, address, request.body());
    }

    private static Answer sent(ApiClient client, Operation operation, String address, Object body) {
        return switch (body) {
            case Raw raw -> client.raw(operation.method(), address, raw.text(), raw.type());
            case null ->
                switch (operation.method()) {
                    case "GET" -> client.get(address);
                    case "DELETE" -> client.delete(address);
                    default ->
                        operation.multipart()
                                ? client.upload(
                                        address, "a.csv", "Name\nAna\n".getBytes(StandardCharsets.UTF_8), Map.of())
                                : client.raw(operation.method(), address, "", "application/json");
                };
            default -> operation.method().equals("PUT") ? client.put(address, body) : client.post(address, body);
        };
    }

    private Map<String, Object> good(Operation operation) {
        Map<String, Object> values = new LinkedHashMap<>();
        operation.parameters().forEach((name, parameter) -> values.put(name, value(name, parameter.schema(), 0)));
        if (operation.path().startsWith("/api/checks/{milestoneId}")) {
            values.put("milestoneId", known.get("checkId"));
        }
        values.computeIfPresent("choices", (name, value) -> "{}");
        values.computeIfPresent(
                "key", (name, value) -> operation.path().contains("starters") ? known.get("starter") : value);
        return values;
    }

    /** A value of a schema that may well be right. */
    private Object value(String name, JsonNode given, int depth) {
        JsonNode schema = document.resolved(given);
        if (GOOD.containsKey(name) && depth > 0) {
            return GOOD.get(name);
        }
        if (name.equals("groups")) {
            return List.of(List.of(school.id("Ana Reed"), school.id("Bo Lund")));
        }
        if (name.equals("scope")
                || (name.equals("scopes") && schema.path("type").asString().equals("object"))) {
            return school.tutti();
        }
        if (schema.has("enum")) {
            return schema.path("enum").get(0).asString();
        }
        return switch (schema.path("type").asString()) {
            case "object" -> {
                Map<String, Object> fields = new LinkedHashMap<>();
                if (depth < 4) {
                    for (String field : schema.path("properties").propertyNames()) {
                        fields.put(field, value(field, schema.path("properties").path(field), depth + 1));
                    }
                }
                yield fields;
            }
            case "array" -> depth < 4 ? List.of(value(name, schema.path("items"), depth + 1)) : List.of();
            case "integer", "number" -> 1;
            case "boolean" -> false;
            default -> text(name, schema.path("format").asString());
        };
    }

    private String text(String name, String format) {
        return switch (format) {
            case "uuid" ->
                known.getOrDefault(
                        name,
                        name.equals("id") || name.equals("orderId")
                                ? Ids.next().toString()
                                : school.id("line").toString());
            case "date" -> School.TODAY.minusDays(2).toString();
            case "date-time" -> "2026-10-07T10:00:00Z";
            default -> known.getOrDefault(name, "Words");
        };
    }

    private void fillSchool() {
        known.put("instrument", "flute");
        known.put("division", "");
        known.put("studentId", school.id("Ana Reed").toString());
        known.put("milestoneId", school.id("line").toString());
        known.put("lineId", school.id("line").toString());
        known.put("classId", school.id("Winds").toString());
        known.put("concertKey", "B-flat major");
        known.put("key", "B-flat major");
        known.put("meter", "4/4");
        known.put("startsAt", "09:00");
        known.put(
                "question",
                director.get("/api/schools").json().get(0).path("key").asString());
        String starter = director.get("/api/checks/starters?instrument=flute")
                .json()
                .get(0)
                .path("key")
                .asString();
        known.put("starter", starter);
        known.put(
                "checkId",
                director.post("/api/checks/starters/" + starter + "/take", Map.of())
                        .json()
                        .path("milestoneId")
                        .asString());
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "check", "belt"));
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "NOT_YET");
        director.post("/api/attempts", attempt);
        known.put("attemptId", attempt.get("id").toString());
        known.put("bookId", director.get("/api/books").json().get(0).path("id").asString());
        director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", ABC));
        String report = Ids.next().toString();
        director.post(
                "/api/pain-reports",
                Map.of(
                        "id",
                        report,
                        "studentId",
                        known.get("studentId"),
                        "classId",
                        known.get("classId"),
                        "place",
                        "left wrist",
                        "since",
                        "Monday"));
        known.put("reportId", report);
        String partners = Ids.next().toString();
        director.post(
                "/api/partner-checks",
                Map.of(
                        "id", partners,
                        "milestoneId", school.id("line"),
                        "scope", school.tutti(),
                        "pairing", "STAND",
                        "watch", List.of("Tall", "Round", "Full"),
                        "measures", List.of(),
                        "groups", List.of(List.of(school.id("Ana Reed"), school.id("Bo Lund")))));
        known.put("partnerCheckId", partners);
    }
}
