package syntoma.app.store;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * Everything that is done to the files of a store before it is opened. No start deletes a store: a new or converted one is built
 * beside it and takes its place when it is complete, and whatever a broken-off start left behind is moved aside.
 */
public final class StoreStart {
    private final StoreFiles files;

    public StoreStart(StoreFiles files) {
        this.files = files;
    }

    /**
     * Makes the store ready to be opened.
     *
     * @return what a person should know of it, one sentence each
     * @throws StartRefusedException when it must not be opened; nothing of it is changed then
     */
    public List<String> prepare() throws IOException {
        List<String> notices = new ArrayList<>(new EarlierLeftovers(files).settle());
        new StoreCheck(files).beforeOpening();
        notices.addAll(new StoreLayout(files).bringUpToDate());
        return notices;
    }
}
