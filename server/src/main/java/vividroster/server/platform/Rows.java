package vividroster.server.platform;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** Reading and binding of column types that plain JDBC leaves to the caller. */
public final class Rows {

    private Rows() {}

    public static UUID id(ResultSet row, String column) throws SQLException {
        return row.getObject(column, UUID.class);
    }

    public static InstrumentCode instrument(ResultSet row, String column) throws SQLException {
        return new InstrumentCode(row.getString(column));
    }

    public static List<InstrumentCode> instruments(ResultSet row, String column) throws SQLException {
        return texts(row, column).stream().map(InstrumentCode::new).toList();
    }

    /** Empty where the column is null. */
    public static Optional<InstrumentCode> maybeInstrument(ResultSet row, String column) throws SQLException {
        return Optional.ofNullable(row.getString(column)).map(InstrumentCode::new);
    }

    public static LocalDate day(ResultSet row, String column) throws SQLException {
        return row.getObject(column, LocalDate.class);
    }

    public static Optional<LocalDate> maybeDay(ResultSet row, String column) throws SQLException {
        return Optional.ofNullable(row.getObject(column, LocalDate.class));
    }

    public static List<String> texts(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        return List.of((String[]) array.getArray());
    }

    public static List<Integer> numbers(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        return Arrays.stream((Number[]) array.getArray()).map(Number::intValue).toList();
    }

    /** Empty where the column is null. */
    public static OptionalInt number(ResultSet row, String column) throws SQLException {
        int value = row.getInt(column);
        return row.wasNull() ? OptionalInt.empty() : OptionalInt.of(value);
    }

    /** For {@code = any(:instruments)}. */
    public static String[] codes(Collection<InstrumentCode> instruments) {
        return instruments.stream().map(InstrumentCode::value).toArray(String[]::new);
    }

    /** For {@code = any(:ids)}. */
    public static UUID[] array(Collection<UUID> ids) {
        return ids.toArray(UUID[]::new);
    }
}
