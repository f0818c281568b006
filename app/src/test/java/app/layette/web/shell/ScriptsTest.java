package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.javascript.jscomp.CheckLevel;
import com.google.javascript.jscomp.CommandLineRunner;
import com.google.javascript.jscomp.Compiler;
import com.google.javascript.jscomp.CompilerOptions;
import com.google.javascript.jscomp.CompilerOptions.Environment;
import com.google.javascript.jscomp.CompilerOptions.LanguageMode;
import com.google.javascript.jscomp.DiagnosticGroup;
import com.google.javascript.jscomp.DiagnosticGroups;
import com.google.javascript.jscomp.JSError;
import com.google.javascript.jscomp.SourceFile;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The scripts that are sent, read as a compiler reads them: nothing is used that is not there, nothing is there unused. */
class ScriptsTest {
    private static final Path STATIC = Path.of("src", "main", "resources", "static");
    /** What browsers have, and what the compiler has not heard of. */
    private static final SourceFile NEWER = SourceFile.fromCode(
            "newer.js", "var localStorage, sessionStorage, caches, PublicKeyCredential, LinearAccelerationSensor;");

    private static final List<DiagnosticGroup> FORBIDDEN = List.of(
            DiagnosticGroups.CHECK_VARIABLES,
            DiagnosticGroups.UNDEFINED_VARIABLES,
            DiagnosticGroups.UNUSED_LOCAL_VARIABLE,
            DiagnosticGroups.CHECK_USELESS_CODE,
            DiagnosticGroups.SUSPICIOUS_CODE,
            DiagnosticGroups.CONST,
            DiagnosticGroups.GLOBAL_THIS,
            DiagnosticGroups.LINT_CHECKS);
    /** This code names no types, so what follows from them is guessed. */
    private static final List<DiagnosticGroup> GUESSED = List.of(
            DiagnosticGroups.CHECK_TYPES,
            DiagnosticGroups.MISSING_PROPERTIES,
            DiagnosticGroups.STRICT_MISSING_PROPERTIES);

    private static final Set<String> ABOUT_TYPES = Set.of(
            "JSC_MISSING_JSDOC",
            "JSC_MISSING_RETURN_JSDOC",
            "JSC_MISSING_PARAMETER_JSDOC",
            "JSC_OPTIONAL_PARAM_NOT_MARKED_OPTIONAL",
            "JSC_UNUSED_PRIVATE_PROPERTY");

    private static List<String> complaints(List<SourceFile> scripts) throws IOException {
        Compiler compiler = new Compiler(new PrintStream(PrintStream.nullOutputStream()));
        compiler.disableThreads();
        CompilerOptions options = new CompilerOptions();
        options.setChecksOnly(true);
        options.setLanguageIn(LanguageMode.UNSTABLE);
        options.setEnvironment(Environment.BROWSER);
        FORBIDDEN.forEach(group -> options.setWarningLevel(group, CheckLevel.WARNING));
        GUESSED.forEach(group -> options.setWarningLevel(group, CheckLevel.OFF));
        List<SourceFile> known = new ArrayList<>(CommandLineRunner.getBuiltinExterns(Environment.BROWSER));
        known.add(NEWER);
        compiler.compile(known, scripts, options);
        return Stream.concat(compiler.getErrors().stream(), compiler.getWarnings().stream())
                .filter(each -> !ABOUT_TYPES.contains(each.getType().key))
                .map(JSError::toString)
                .toList();
    }

    @Test
    void aCompilerHasNothingToSayOfThem() throws IOException {
        List<SourceFile> scripts = new ArrayList<>();
        try (Stream<Path> files = Files.walk(STATIC)) {
            files.filter(each -> each.toString().endsWith(".js"))
                    .sorted()
                    .forEach(each -> scripts.add(SourceFile.fromFile(each.toString())));
        }
        assertThat(scripts).hasSizeGreaterThan(20);
        assertThat(complaints(scripts)).isEmpty();
    }

    /** What the check is for. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    const used = 1; console.log(usd, used); | usd
                    const left = 1; | left
                    const one = 1; one = 2; console.log(one); | one
                    let two = 1; let two = 2; console.log(two); | two
                    return 1; console.log(3); | UNREACHABLE
                    if (true | Parse error
                    """)
    void whatIsMisspelledLeftOverOrBrokenIsFound(String script, String says) throws IOException {
        assertThat(complaints(List.of(SourceFile.fromCode("a.js", "(() => { " + script + " })();"))))
                .anySatisfy(said -> assertThat(said).contains(says));
    }
}
