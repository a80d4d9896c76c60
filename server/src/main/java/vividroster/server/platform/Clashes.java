package vividroster.server.platform;

import java.util.Optional;
import java.util.function.Supplier;
import org.postgresql.util.PSQLException;
import org.postgresql.util.ServerErrorMessage;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataIntegrityViolationException;

/** What the database refuses because of a named constraint, as a sentence. */
public final class Clashes {

    private Clashes() {}

    /**
     * @param constraint the constraint whose refusal the sentence is for; any other refusal goes on as it is
     * @throws Problem a conflict with the sentence
     */
    public static <T> T told(String constraint, String sentence, Supplier<T> write) {
        try {
            return write.get();
        } catch (DataIntegrityViolationException e) {
            if (constraint(e).equals(Optional.of(constraint))) {
                throw Problem.conflict(sentence);
            }
            throw e;
        }
    }

    /** The constraint that was violated; empty where the database names none. */
    static Optional<String> constraint(DataIntegrityViolationException e) {
        return NestedExceptionUtils.getMostSpecificCause(e) instanceof PSQLException refused
                ? Optional.ofNullable(refused.getServerErrorMessage()).map(ServerErrorMessage::getConstraint)
                : Optional.empty();
    }
}
