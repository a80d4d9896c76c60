package vividroster.server.platform;

/** What a person may do: directors everything, assistants look and hear. */
public enum Role {
    DIRECTOR,
    ASSISTANT
}
