package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.School;

/** Twenty presses at once of five devices of a school's director. */
final class Presses {

    static final int PRESSES = 20;

    private final ApiClient director;
    private final List<ApiClient> directors;

    Presses(School school) {
        this.director = school.director();
        this.directors = IntStream.range(0, 5).mapToObj(i -> school.director()).toList();
    }

    List<Answer> at(Function<ApiClient, Answer> press) {
        return each(i -> press);
    }

    List<Answer> each(java.util.function.IntFunction<Function<ApiClient, Answer>> presses) {
        List<Answer> answers = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch begin = new CountDownLatch(1);
        List<Thread> threads = IntStream.range(0, PRESSES)
                .mapToObj(i -> Thread.ofVirtual().start(() -> {
                    try {
                        begin.await();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                    answers.add(presses.apply(i).apply(directors.get(i % directors.size())));
                }))
                .toList();
        begin.countDown();
        for (Thread thread : threads) {
            try {
                thread.join();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
        assertThat(answers).hasSize(PRESSES);
        assertThat(answers).as("no error of the server's own").allMatch(a -> a.status() < 500);
        return answers;
    }

    static long good(List<Answer> answers) {
        return answers.stream().filter(a -> a.status() < 300).count();
    }

    /** The same content under one id is taken every time; other content under it is a conflict. */
    void sameIdSameAnswer(String path, Supplier<Map<String, Object>> body, String changed, Object to) {
        Map<String, Object> sent = body.get();
        assertThat(good(at(client -> client.post(path, sent)))).as(path).isEqualTo(PRESSES);
        Map<String, Object> other = new HashMap<>(sent);
        other.put(changed, to);
        Answer conflict = director.post(path, other);
        assertThat(conflict.status()).as(path + " " + conflict.text()).isEqualTo(409);
        assertThat(conflict.sentence()).contains("has this id already");
        assertThat(director.post(path, sent).status()).as("and the first again").isLessThan(300);
    }

    static Map<String, Object> body(Object... pairs) {
        Map<String, Object> body = new HashMap<>();
        body.put("id", Ids.next());
        for (int i = 0; i < pairs.length; i += 2) {
            body.put((String) pairs[i], pairs[i + 1]);
        }
        return body;
    }
}
