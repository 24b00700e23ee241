package keyslate.server.calculation;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What a calculation tells, with the ids of its formulas; it becomes the operation's summary in openapi.json. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Calculates {
    /** One phrase and the ids in brackets. */
    String value();
}
