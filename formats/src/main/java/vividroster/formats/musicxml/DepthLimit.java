package vividroster.formats.musicxml;

import org.xml.sax.Attributes;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;
import org.xml.sax.helpers.XMLFilterImpl;

/** Refuses elements nested deeper than any score nests them. */
final class DepthLimit extends XMLFilterImpl {

    private final int deepest;
    private int depth;

    DepthLimit(XMLReader parent, int deepest) {
        super(parent);
        this.deepest = deepest;
    }

    @Override
    public void startElement(String uri, String localName, String qName, Attributes attributes) throws SAXException {
        if (++depth > deepest) {
            throw new SAXException("elements are nested deeper than " + deepest);
        }
        super.startElement(uri, localName, qName, attributes);
    }

    @Override
    public void endElement(String uri, String localName, String qName) throws SAXException {
        depth--;
        super.endElement(uri, localName, qName);
    }
}
