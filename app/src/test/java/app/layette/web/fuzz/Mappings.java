package app.layette.web.fuzz;

import java.lang.reflect.Method;
import java.lang.reflect.Parameter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.beans.factory.annotation.AnnotatedBeanDefinition;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.type.classreading.MetadataReader;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Every address of the application, read from the controllers themselves: a new one cannot be forgotten. */
public final class Mappings {
    /**
     * One address.
     *
     * @param verb GET or POST
     * @param path with its variables in braces
     * @param parameters names that its method asks for
     * @param file name of the file it takes; empty where it takes none
     */
    public record Mapping(String verb, String path, List<String> parameters, String file) {
        @Override
        public String toString() {
            return verb + " " + path;
        }
    }

    /** What no controller has: Spring Security answers it, or Spring Boot. */
    private static final List<Mapping> OUTSIDE = List.of(
            new Mapping("POST", "/sign-in", List.of("username", "password"), ""),
            new Mapping("POST", "/sign-out", List.of(), ""),
            new Mapping("GET", "/error", List.of(), ""),
            new Mapping("GET", "/actuator/health", List.of(), ""),
            new Mapping("GET", "/actuator/env", List.of(), ""));

    private Mappings() {}

    /** Every address, in a lasting order. */
    public static List<Mapping> all() {
        ClassPathScanningCandidateComponentProvider scanner = new ClassPathScanningCandidateComponentProvider(false) {
            /** Those too that run in the demo alone. */
            @Override
            protected boolean isCandidateComponent(MetadataReader reader) {
                return reader.getAnnotationMetadata().hasAnnotation(Controller.class.getName());
            }
        };
        List<Mapping> all = new ArrayList<>(OUTSIDE);
        scanner.findCandidateComponents("app.layette").stream()
                .map(bean -> type(((AnnotatedBeanDefinition) bean).getMetadata().getClassName()))
                .forEach(type -> all.addAll(of(type)));
        all.sort((one, other) -> one.toString().compareTo(other.toString()));
        return all;
    }

    private static Class<?> type(String name) {
        try {
            return Class.forName(name);
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Mapping> of(Class<?> controller) {
        RequestMapping outer = AnnotatedElementUtils.findMergedAnnotation(controller, RequestMapping.class);
        String[] prefixes = outer == null ? new String[] {""} : outer.path();
        List<Mapping> found = new ArrayList<>();
        for (Method method : controller.getDeclaredMethods()) {
            RequestMapping inner = AnnotatedElementUtils.findMergedAnnotation(method, RequestMapping.class);
            if (inner == null) {
                continue;
            }
            String[] paths = inner.path().length == 0 ? new String[] {""} : inner.path();
            for (String prefix : prefixes) {
                for (String path : paths) {
                    // The address of mishaps answers every verb, and is listed above as it is met from outside.
                    for (RequestMethod verb : path.equals("/error") ? new RequestMethod[0] : inner.method()) {
                        found.add(new Mapping(verb.name(), prefix + path, parameters(method), file(method)));
                    }
                }
            }
        }
        return found;
    }

    private static List<String> parameters(Method method) {
        return Arrays.stream(method.getParameters())
                .filter(each -> each.isAnnotationPresent(RequestParam.class))
                .filter(each -> each.getType() != MultipartFile.class)
                .map(Mappings::name)
                .filter(name -> !name.equals("fields"))
                .toList();
    }

    private static String file(Method method) {
        return Arrays.stream(method.getParameters())
                .filter(each -> each.getType() == MultipartFile.class)
                .map(Mappings::name)
                .findFirst()
                .orElse("");
    }

    private static String name(Parameter parameter) {
        RequestParam asked = AnnotatedElementUtils.findMergedAnnotation(parameter, RequestParam.class);
        return asked == null || asked.name().isEmpty() ? parameter.getName() : asked.name();
    }
}
