package syntoma.standin.fault;

import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.util.Callback;
import syntoma.standin.port.LocalServer;
import syntoma.standin.port.RequestBody;

/** A port of its own at which faults are switched, by a POST of the words of {@link Faults#tell}. The demo opens none. */
public final class FaultServer {
    private FaultServer() {}

    /** Starts one on any port that is free, for this machine alone. */
    public static LocalServer start(Faults faults) throws Exception {
        return LocalServer.start("127.0.0.1", 0, new Handler.Abstract() {
            @Override
            public boolean handle(Request request, Response response, Callback callback) throws Exception {
                if (!request.getMethod().equals("POST")) {
                    return false;
                }
                RequestBody.carryOut(request, response, callback, faults::tell);
                return true;
            }
        });
    }
}
