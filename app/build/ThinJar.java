import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.function.Predicate;
import java.util.jar.JarEntry;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Takes out of the packaged jar what the product never opens: native libraries of other platforms, all of the style
 * sheet's package but the style sheet, and the names of local variables in the classes of libraries (their line numbers
 * stay).
 */
public class ThinJar {
    private static final List<String> NATIVES =
            List.of("org/sqlite/native/Linux/x86_64/", "org/sqlite/native/Linux/aarch64/");

    /**
     * Rewrites a jar in place.
     *
     * @param args the jar
     * @throws IOException if it cannot be read or written
     */
    public static void main(String[] args) throws IOException {
        Path jar = Path.of(args[0]);
        Path thin = jar.resolveSibling(jar.getFileName() + ".thin");
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(jar));
                ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(thin))) {
            out.setLevel(Deflater.BEST_COMPRESSION);
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                boolean library = entry.getName().startsWith("BOOT-INF/lib/") && !entry.isDirectory();
                byte[] bytes = in.readAllBytes();
                put(out, entry, library ? library(entry.getName(), bytes) : bytes, library);
            }
        }
        Files.move(thin, jar, StandardCopyOption.REPLACE_EXISTING);
    }

    private static byte[] library(String name, byte[] bytes) throws IOException {
        Predicate<String> kept = name.contains("/sqlite-jdbc-")
                ? n -> !n.startsWith("org/sqlite/native/") || NATIVES.stream().anyMatch(n::startsWith)
                : name.contains("/bootstrap-")
                        ? n -> n.endsWith("/css/bootstrap.min.css") || n.endsWith("LICENSE") || n.endsWith("pom.properties")
                        : n -> true;
        ByteArrayOutputStream all = new ByteArrayOutputStream(bytes.length);
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(bytes));
                ZipOutputStream out = new ZipOutputStream(all)) {
            out.setLevel(Deflater.BEST_COMPRESSION);
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (entry.isDirectory() || kept.test(entry.getName())) {
                    byte[] content = in.readAllBytes();
                    boolean isClass = entry.getName().endsWith(".class") && !entry.getName().endsWith("module-info.class");
                    put(out, entry, isClass && !name.contains("/whipsaw-") ? withoutVariableNames(content) : content, false);
                }
            }
        }
        return all.toByteArray();
    }

    private static void put(ZipOutputStream out, ZipEntry as, byte[] bytes, boolean stored) throws IOException {
        ZipEntry entry = new JarEntry(as.getName());
        entry.setLastModifiedTime(as.getLastModifiedTime());
        if (stored) {
            // the launcher reads libraries where they lie
            CRC32 sum = new CRC32();
            sum.update(bytes);
            entry.setMethod(ZipEntry.STORED);
            entry.setSize(bytes.length);
            entry.setCrc(sum.getValue());
        }
        out.putNextEntry(entry);
        out.write(bytes);
        out.closeEntry();
    }

    private static byte[] withoutVariableNames(byte[] type) {
        ClassWriter writer = new ClassWriter(0);
        new ClassReader(type).accept(new ClassVisitor(Opcodes.ASM9, writer) {
            @Override
            public MethodVisitor visitMethod(
                    int access, String name, String descriptor, String signature, String[] exceptions) {
                return new MethodVisitor(
                        Opcodes.ASM9, super.visitMethod(access, name, descriptor, signature, exceptions)) {
                    @Override
                    public void visitLocalVariable(
                            String name, String descriptor, String signature, Label from, Label to, int index) {
                        // left out
                    }
                };
            }
        }, 0);
        return writer.toByteArray();
    }
}
