package app.hodegon.server.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.when;

import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.server.account.Accounts;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** Reading a coach's drills never fails as a whole. */
@ExtendWith(MockitoExtension.class)
class OwnDrillsTest {

    private static final UUID COACH = UUID.randomUUID();

    @Mock
    private DrillRepository stored;

    @Mock
    private Accounts accounts;

    private static String document(String id, String after) {
        return DrillFile.write(List.of(DrillLibrary.standard().drill("disc-turn")))
                .replace("\"disc-turn\"", "\"" + id + "\"")
                .replaceFirst("\"pace\"", "\"after\":[" + after + "],\"pace\"");
    }

    private DrillLibrary library(Map<String, String> documents) {
        when(stored.documents(COACH)).thenReturn(documents);
        return new Drills(stored, accounts).of(COACH);
    }

    @Test
    void whatCannotBeReadIsSetAsideAndNamed() {
        String whole = document("plate-turn", "");
        DrillLibrary library = library(new TreeMap<>(
                Map.of("cut-turn", whole.substring(0, whole.length() / 2), "plate-turn", whole, "odd-turn", "[{}]")));
        assertThat(library.has("plate-turn")).isTrue();
        assertThat(library.has("cut-turn")).as("nothing new is planned with it").isFalse();
        assertThat(library.drill("cut-turn").name())
                .as("plans that have it open")
                .contains("cut-turn");
        assertThat(new Drills(stored, accounts).setAside(COACH))
                .extracting(Drills.SetAside::id)
                .containsExactly("cut-turn", "odd-turn");
        assertThat(new Drills(stored, accounts).own(COACH)).containsExactly("plate-turn");
    }

    @Test
    void whatCameAfterADrillThatIsGoneComesAfterNothing() {
        DrillLibrary library = library(Map.of("second-turn", document("second-turn", "\"gone\",\"outer-prop\"")));
        assertThat(library.drill("second-turn").after()).containsExactly("outer-prop");
    }

    @Test
    void moreThanAFileMayHoldIsStillRead() {
        Map<String, String> many = new TreeMap<>();
        for (int i = 0; i < DrillFile.MOST + 20; i++) many.put("turn-" + i, document("turn-" + i, ""));
        assertThat(library(many).all()).hasSize(DrillLibrary.standard().all().size() + DrillFile.MOST + 20);
    }
}
