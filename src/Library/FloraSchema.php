<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\FloraDocument;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Holds a flora document against the published JSON Schema (2020-12) of the exchange format. */
final readonly class FloraSchema
{
    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/schema/flora.schema.json')] private string $file,
    ) {
    }

    /** @throws FloraRefused naming the first place that does not fit the schema */
    public function validate(string $name, FloraDocument $document): void
    {
        $data = json_decode(json_encode($document->content, \JSON_THROW_ON_ERROR), false, 64, \JSON_THROW_ON_ERROR);
        $schema = json_decode((string) file_get_contents($this->file), false, 64, \JSON_THROW_ON_ERROR);
        \assert($schema instanceof \stdClass);
        $error = (new Validator())->validate($data, $schema)->error();
        if (null !== $error) {
            $messages = (new ErrorFormatter())->formatKeyed($error);
            $path = (string) array_key_first($messages);
            $reasons = $messages[$path];
            $first = \is_array($reasons) ? reset($reasons) : $reasons;
            throw FloraRefused::in(
                $name,
                DocumentError::at(
                    str_replace('/', '.', trim($path, '/')),
                    \is_string($first) ? $first : 'does not fit the schema.',
                ),
            );
        }
    }
}
