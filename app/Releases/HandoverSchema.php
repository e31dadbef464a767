<?php

declare(strict_types=1);

namespace App\Releases;

/** The XML schema of the hand-over, which ships with the application. */
final readonly class HandoverSchema
{
    public static function path(): string
    {
        return resource_path('schemas/hand-over-2.xsd');
    }

    /** @throws \LogicException when the file is not as the schema says: then we wrote it wrong, and nothing is released */
    public function check(string $xml): void
    {
        $document = new \DOMDocument();
        $was = libxml_use_internal_errors(true);
        try {
            if (!$document->loadXML($xml, LIBXML_NONET) || !$document->schemaValidate(self::path())) {
                $faults = array_map(static fn(\LibXMLError $error): string => trim($error->message), libxml_get_errors());
                throw new \LogicException('The hand-over does not follow its schema: ' . implode(' ', $faults));
            }
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($was);
        }
    }
}
