package syntoma.app.measurement;

import static org.hibernate.generator.EventType.INSERT;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.EnumSet;
import java.util.Properties;
import java.util.concurrent.atomic.AtomicLong;
import org.hibernate.annotations.IdGeneratorType;
import org.hibernate.engine.spi.SharedSessionContractImplementor;
import org.hibernate.generator.EventType;
import org.hibernate.id.OptimizableGenerator;
import org.hibernate.id.enhanced.SequenceStyleGenerator;
import org.hibernate.id.enhanced.StandardOptimizerDescriptor;
import org.hibernate.service.ServiceRegistry;
import org.hibernate.type.Type;

/** A number that is kept where there is one, as of a measurement that is put back, and else is the next of the sequence. */
@IdGeneratorType(SequenceNumber.NumberGenerator.class)
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.FIELD)
@interface SequenceNumber {
    /** Takes the numbers in lots, so that an import asks the store once for a thousand rows. */
    class NumberGenerator extends SequenceStyleGenerator {
        private static final String SEQUENCE = "measurement_seq";
        private static final int LOT = 1000;

        /** Numbers up to this one are taken, also where the lot at hand says otherwise. */
        private static final AtomicLong TAKEN = new AtomicLong();

        @Override
        public void configure(Type type, Properties parameters, ServiceRegistry registry) {
            parameters.setProperty(SEQUENCE_PARAM, SEQUENCE);
            parameters.setProperty(OptimizableGenerator.INCREMENT_PARAM, Integer.toString(LOT));
            // the sequence gives the first number of a lot
            parameters.setProperty(
                    OptimizableGenerator.OPT_PARAM, StandardOptimizerDescriptor.POOLED_LO.getExternalName());
            super.configure(type, parameters, registry);
        }

        @Override
        public Object generate(SharedSessionContractImplementor session, Object row) {
            Long number = ((Measurement) row).id;
            if (number != null) {
                return number;
            }
            Object next = super.generate(session, row);
            while ((Long) next <= TAKEN.get()) {
                next = super.generate(session, row);
            }
            return next;
        }

        /** Leaves the lot at hand where the store was filled again with numbers up to one. */
        static void continueAfter(long last) {
            TAKEN.set(last);
        }

        @Override
        public EnumSet<EventType> getEventTypes() {
            return EnumSet.of(INSERT);
        }

        @Override
        public boolean allowAssignedIdentifiers() {
            return true;
        }
    }
}
