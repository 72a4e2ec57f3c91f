package app.hodegon.server.operation;

import app.hodegon.server.account.Tokens;
import app.hodegon.server.storage.BackupFile;
import app.hodegon.server.storage.DataFolder;
import java.io.IOException;
import java.io.PrintStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.OffsetDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What the owner of the machine does from the command line: a backup, bringing one back, a link for a lost password,
 * an owner for the house.
 * Where a server runs on the data, it is asked to; else the files are used directly.
 */
public final class Operator {

    private static final int LINK_DAYS = 2;

    private static final String UNUSABLE =
            "The database cannot be used: start Hodegon once, so that it is brought up to date.";

    private final PrintStream out;
    private final PrintStream err;

    public Operator(PrintStream out, PrintStream err) {
        this.out = out;
        this.err = err;
    }

    /** The command was not done; the message says why. */
    private static final class Failed extends Exception {
        private static final long serialVersionUID = 1;

        Failed(String message) {
            super(message);
        }
    }

    /**
     * @param arguments the command's name and its options
     * @return the exit code: 0 only when it was done
     */
    public int run(List<String> arguments) {
        try {
            Map<String, String> options = options(arguments.subList(1, arguments.size()));
            DataFolder data = new DataFolder(Path.of(needed(options, "data")).toAbsolutePath());
            switch (arguments.get(0)) {
                case "backup" -> backup(data, Path.of(needed(options, "to")).toAbsolutePath());
                case "restore" ->
                    restore(Path.of(needed(options, "from")).toAbsolutePath(), data, options.containsKey("replace"));
                case "link" -> link(data, needed(options, "email"));
                case "owner" -> owner(data, needed(options, "email"));
                default -> throw new Failed("There is no command " + arguments.get(0) + ".");
            }
            return 0;
        } catch (Failed | IOException | DataFolder.Refused failed) {
            err.println(failed.getMessage());
            return 1;
        } catch (DataFolder.InUse running) {
            err.println("Hodegon is running on this folder: stop it first.");
            return 1;
        }
    }

    private static Map<String, String> options(List<String> arguments) throws Failed {
        Map<String, String> options = new HashMap<>();
        for (int i = 0; i < arguments.size(); i++) {
            String name = arguments.get(i);
            if (name.equals("--replace")) options.put("replace", "");
            else if (name.startsWith("--") && i + 1 < arguments.size()) {
                options.put(name.substring(2), arguments.get(++i));
            } else {
                throw new Failed("Not understood: " + name);
            }
        }
        return options;
    }

    private static String needed(Map<String, String> options, String name) throws Failed {
        String value = options.get(name);
        if (value == null || value.isBlank()) throw new Failed("--" + name + " is missing.");
        return value;
    }

    private void backup(DataFolder data, Path to) throws Failed, IOException {
        if (!Files.exists(data.database())) throw new Failed("There is no database in " + data.path() + ".");
        if (to.getParent() == null || !Files.isDirectory(to.getParent())) {
            throw new Failed("There is no folder " + to.getParent() + ".");
        }
        if (isRunning(data)) {
            out.println("Backup made while Hodegon runs: " + ask(data, "backup", to.toString()));
            return;
        }
        data.prepare();
        String read = BackupFile.make(to, zip -> {
            try (Connection store = DriverManager.getConnection(data.url(""), "sa", "");
                    Statement sql = store.createStatement()) {
                sql.execute(BackupFile.statement(zip));
            }
        });
        out.println("Backup made: " + read + ".");
    }

    private void restore(Path from, DataFolder data, boolean replace) throws Failed, IOException {
        if (!Files.isReadable(from)) throw new Failed("There is no file " + from + ".");
        if (Files.exists(data.database()) && isRunning(data)) {
            throw new Failed("Hodegon is running on " + data.path() + ": stop it first.");
        }
        if (Files.exists(data.database()) && Files.size(data.database()) > 0 && !replace) {
            throw new Failed("There is data in " + data.path() + " already. Say --replace to put the backup in its"
                    + " place; what is there now is kept beside it.");
        }
        Files.createDirectories(data.path());
        Path next = Files.createTempDirectory(data.path(), "restored");
        try {
            String read = BackupFile.unpack(from, next);
            long beat = BackupFile.beat(next);
            if (Files.exists(data.database())) {
                Files.move(data.database(), kept(data));
            }
            Files.move(new DataFolder(next).database(), data.database(), StandardCopyOption.ATOMIC_MOVE);
            data.remember(beat);
            out.println("Brought back: " + read + ".");
        } finally {
            Files.deleteIfExists(new DataFolder(next).database());
            Files.deleteIfExists(next);
        }
    }

    private static Path kept(DataFolder data) {
        String time = OffsetDateTime.now().toString().replaceAll("[^0-9T]", "").substring(0, 15);
        return data.path().resolve("before-restore-" + time + ".mv.db");
    }

    private void link(DataFolder data, String email) throws Failed, IOException {
        String token = done(data, "link", email, Operator::makeLink);
        out.println("For " + LINK_DAYS + " days, once: open /password/" + token
                + " behind the address of this installation.");
    }

    private void owner(DataFolder data, String email) throws Failed, IOException {
        out.println(done(data, "owner", email, Operator::makeOwner) + " owns the house now.");
    }

    /** What is done on the files of a house where no server runs. */
    private interface OnFiles {
        String with(DataFolder data, String email) throws Failed;
    }

    /** Has it done by the server that runs on the data, or on its files. */
    private static String done(DataFolder data, String order, String email, OnFiles otherwise)
            throws Failed, IOException {
        if (isRunning(data)) return ask(data, order, email);
        data.prepare();
        return otherwise.with(data, email);
    }

    private static String makeOwner(DataFolder data, String email) throws Failed {
        try (Connection store = DriverManager.getConnection(data.url(""), "sa", "");
                PreparedStatement find = store.prepareStatement("""
                        select id, name from account where email = ? and role = 'coach' and left_at is null""");
                PreparedStatement no = store.prepareStatement("update account set owner = null where owner");
                PreparedStatement yes = store.prepareStatement("update account set owner = true where id = ?")) {
            store.setAutoCommit(false);
            find.setString(1, email.strip().toLowerCase(Locale.ROOT));
            try (ResultSet coach = find.executeQuery()) {
                if (!coach.next()) throw new Failed("There is no coach with this e-mail.");
                no.executeUpdate();
                yes.setObject(1, coach.getObject(1));
                yes.executeUpdate();
                store.commit();
                return coach.getString(2);
            }
        } catch (SQLException failed) {
            throw new Failed(UNUSABLE);
        }
    }

    private static String makeLink(DataFolder data, String email) throws Failed {
        String token = Tokens.make();
        try (Connection store = DriverManager.getConnection(data.url(""), "sa", "");
                PreparedStatement old = store.prepareStatement("""
                        delete from password_link where account_id in (select id from account where email = ?)""");
                PreparedStatement add = store.prepareStatement("""
                        insert into password_link (token_hash, account_id, expires_at)
                        select ?, id, ? from account where email = ? and left_at is null""")) {
            String normal = email.strip().toLowerCase(Locale.ROOT);
            old.setString(1, normal);
            old.executeUpdate();
            add.setString(1, Tokens.hash(token));
            add.setObject(2, OffsetDateTime.now().plusDays(LINK_DAYS));
            add.setString(3, normal);
            if (add.executeUpdate() == 0) throw new Failed("There is no account with this e-mail.");
            return token;
        } catch (SQLException failed) {
            throw new Failed(UNUSABLE);
        }
    }

    private static boolean isRunning(DataFolder data) throws Failed {
        if (!Files.exists(data.database())) throw new Failed("There is no database in " + data.path() + ".");
        if (OperatorFile.answers(data.operator())) return true;
        try (Connection store = DriverManager.getConnection(data.url(""), "sa", "")) {
            return false;
        } catch (SQLException closed) {
            return DataFolder.isInUse(closed);
        }
    }

    private static String ask(DataFolder data, String order, String about) throws Failed {
        if (!Files.isReadable(data.operator())) {
            throw new Failed("Hodegon is running on " + data.path() + ", but cannot be asked: use the same user.");
        }
        HttpResponse<String> answer;
        try {
            answer = OperatorFile.read(data.operator()).ask(order, about);
        } catch (IOException silent) {
            throw new Failed("Hodegon is running on " + data.path() + ", but does not answer: stop it first.");
        }
        if (answer.statusCode() != 200) throw new Failed(answer.body());
        return answer.body();
    }
}
