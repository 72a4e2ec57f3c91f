package app.hodegon.server;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** On a test class that moves the demo's day and so would disturb others on the shared server. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
@interface OwnServer {}
