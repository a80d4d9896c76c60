package vividroster.server.demo;

import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividroster.server.account.Accounts;
import vividroster.server.account.Programmes;
import vividroster.server.platform.Problem;

/** What is done from the shell of the server: a new password for somebody, another programme. Then it ends. */
@Component
@Order(0)
class ShellTasks implements ApplicationRunner {

    private final Accounts accounts;
    private final Programmes programmes;
    private final ApplicationContext application;
    private final String task;
    private final String name;

    ShellTasks(
            Accounts accounts,
            Programmes programmes,
            ApplicationContext application,
            @Value("${vivid.task:}") String task,
            @Value("${vivid.task-name:}") String name) {
        this.accounts = accounts;
        this.programmes = programmes;
        this.application = application;
        this.task = task;
        this.name = name;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (task.isEmpty()) {
            return;
        }
        System.out.println("vivid: " + said());
        System.exit(SpringApplication.exit(application));
    }

    /** What was done, in a sentence. */
    String said() {
        try {
            return switch (task) {
                case "reset-password" -> {
                    String password = programmes.newPassword();
                    Optional<String> whose = accounts.resetPassword(name, password);
                    yield whose.map(who -> who + " signs in as " + name + " with " + password
                                    + " from now on, and is signed out everywhere. It is not shown again.")
                            .orElse("Nobody signs in as \"" + name + "\"; nothing was changed.");
                }
                case "open-programme" -> {
                    Programmes.Opened opened = programmes.open(name, signInNameOf(name));
                    yield name + " is open. Its director signs in as " + opened.signInName() + " with "
                            + opened.password() + "; it is not shown again.";
                }
                default -> "There is no task \"" + task + "\".";
            };
        } catch (Problem e) {
            return e.getMessage() + " Nothing was changed.";
        }
    }

    /** "Harbour Hill Middle" begins as harbour-hill-middle. */
    static String signInNameOf(String programme) {
        String name = programme
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        return name.isEmpty() ? "director" : name;
    }
}
