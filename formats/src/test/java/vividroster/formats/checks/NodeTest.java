package vividroster.formats.checks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is wrong in a check's file is said with the place and the word. */
class NodeTest {

    private static Node node(Map<String, Object> values) {
        return new Node("flute.yaml", values);
    }

    @Test
    void readsWhatIsThereAndTakesWhatIsMissingForEmpty() {
        Node node =
                node(Map.of("key", "flute-hold", "steps", List.of(" One ", "Two"), "instrumentFree", true, "weeks", 8));
        assertThat(node.text("key")).isEqualTo("flute-hold");
        assertThat(node.texts("steps")).containsExactly("One", "Two");
        assertThat(node.texts("criteria")).isEmpty();
        assertThat(node.is("instrumentFree")).isTrue();
        assertThat(node.is("anything")).isFalse();
        assertThat(node.number("weeks")).isEqualTo(8);
        assertThat(node.nodes("faults")).isEmpty();
        assertThat(node.map("wordings")).isEmpty();
        assertThat(node.where()).isEqualTo("flute.yaml, flute-hold");
    }

    @Test
    void aColonThatMadeAMappingOutOfASentenceIsFound() {
        Node node = node(Map.of("steps", List.of(Map.of("Stack it up", "hips, ribs"))));
        assertThatThrownBy(() -> node.texts("steps"))
                .hasMessage("\"steps\" must list texts; put quotes round {Stack it up=hips, ribs}");
    }

    @Test
    void whatIsNoTextNoNumberNoListIsNamed() {
        Node node = node(Map.of("title", List.of("a", "b"), "weeks", "eight", "steps", "one"));
        assertThatThrownBy(() -> node.text("title")).hasMessage("\"title\" must be a text, was [a, b]");
        assertThatThrownBy(() -> node.text("selfTest")).hasMessage("\"selfTest\" must be a text, was null");
        assertThatThrownBy(() -> node.number("weeks")).hasMessage("\"weeks\" must be a whole number, was eight");
        assertThatThrownBy(() -> node.texts("steps")).hasMessage("\"steps\" must be a list, was one");
        assertThatThrownBy(() -> node.nodes("steps")).hasMessageContaining("a list was expected, was one");
        assertThatThrownBy(() -> Node.of("one")).hasMessage("a mapping was expected, was \"one\"");
    }
}
