package vividroster.server.platform;

/** What lies in a session cannot be read any more. */
final class SessionUnreadableException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    SessionUnreadableException(RuntimeException cause) {
        super("the session cannot be read", cause);
    }
}
