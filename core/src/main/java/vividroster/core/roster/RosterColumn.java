package vividroster.core.roster;

/** The columns a roster file may have; the first three it must have. */
public enum RosterColumn {
    NAME("name"),
    CLASS("class"),
    INSTRUMENT("instrument"),
    DIVISION("division"),
    START_DATE("start date"),
    STUDENT_NUMBER("student number");

    private final String heading;

    RosterColumn(String heading) {
        this.heading = heading;
    }

    public String heading() {
        return heading;
    }
}
