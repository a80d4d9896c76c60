package vividroster.core.plan;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;

/** Classes that can only be planned together, since something is chosen for more than one of them. */
public final class TiedClasses {

    private TiedClasses() {}

    /**
     * @param ties the classes each thing is chosen for; those of one class or none tie nothing
     * @return the classes asked for and all that hang together with them, also by way of others; those asked for first
     */
    public static <C> Set<C> with(Collection<C> asked, Collection<Set<C>> ties) {
        Set<C> together = new LinkedHashSet<>(asked);
        boolean grew = true;
        while (grew) {
            grew = false;
            for (Set<C> tie : ties) {
                grew |= tie.stream().anyMatch(together::contains) && together.addAll(tie);
            }
        }
        return together;
    }
}
