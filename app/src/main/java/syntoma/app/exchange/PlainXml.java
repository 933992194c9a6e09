package syntoma.app.exchange;

import io.jenetics.jpx.XMLProvider;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLOutputFactory;

/**
 * XML as GPX is read and written with: the platform's own, whatever other readers are beside it, and without definitions and
 * entities from outside. Public with a public constructor, because it is found as a service.
 */
public class PlainXml extends XMLProvider {
    @Override
    public XMLInputFactory xmlInputFactory() {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return factory;
    }

    @Override
    public XMLOutputFactory xmlOutputFactory() {
        return XMLOutputFactory.newDefaultFactory();
    }
}
