package vividroster.server.platform;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Collection;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one protocol for writes under an id that a client made: the first one is made; the same content again is answered as
 * the first was and writes nothing; other content under the id is a conflict. Nothing is dropped without a word.
 */
@Component
public class ClientWrites {

    private final JdbcClient jdbc;

    ClientWrites(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Whether this write is the first under its id, so that it is still to be made, in the transaction it is asked in.
     *
     * @param kind what is written, as the sentence of a conflict names it
     * @param content all that the client said; values, collections and maps of them
     * @throws Problem a conflict when something else was written under the id
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean isFirst(UUID programId, String kind, UUID id, Object... content) {
        byte[] fingerprint = fingerprint(content);
        boolean first = jdbc.sql("""
                                insert into client_write (program_id, kind, id, content)
                                values (:programId, :kind, :id, :content)
                                on conflict (program_id, kind, id) do nothing
                                """)
                        .param("programId", programId)
                        .param("kind", kind)
                        .param("id", id)
                        .param("content", fingerprint)
                        .update()
                == 1;
        if (!first && !Arrays.equals(find(programId, kind, id).orElse(null), fingerprint)) {
            throw Problem.conflict("Another " + kind + " has this id already; nothing was changed.");
        }
        return first;
    }

    /** Forgets what nobody can be sending again any more. @return how many */
    @Transactional
    public int forgetBefore(Instant moment) {
        return jdbc.sql("delete from client_write where written_at < :moment -- of every program_id")
                .param("moment", moment.atOffset(ZoneOffset.UTC))
                .update();
    }

    private Optional<byte[]> find(UUID programId, String kind, UUID id) {
        return jdbc.sql("""
                        select content from client_write
                        where program_id = :programId and kind = :kind and id = :id
                        """)
                .param("programId", programId)
                .param("kind", kind)
                .param("id", id)
                .query((row, n) -> row.getBytes("content"))
                .optional();
    }

    /** Lengths stand before texts, so that no two contents read alike. */
    private static byte[] fingerprint(Object... content) {
        try {
            return MessageDigest.getInstance("SHA-256")
                    .digest(read(Arrays.asList(content)).getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private static String read(Object value) {
        return switch (value) {
            case null -> "-";
            case Optional<?> optional -> read(optional.orElse(null));
            case Map<?, ?> map -> {
                Map<String, String> sorted = new TreeMap<>();
                map.forEach((key, one) -> sorted.put(read(key), read(one)));
                yield "{" + sorted + "}";
            }
            case Set<?> set ->
                "(" + set.stream().map(ClientWrites::read).sorted().collect(Collectors.joining(",")) + ")";
            case Collection<?> list ->
                "[" + list.stream().map(ClientWrites::read).collect(Collectors.joining(",")) + "]";
            default -> {
                String text = Objects.toString(value);
                yield text.length() + ":" + text;
            }
        };
    }
}
