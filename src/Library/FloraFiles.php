<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\JsonText;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraFolder;
use Hylognosis\Flora\FloraReader;

/** Reads a flora from its folder of YAML files or from one exchanged JSON document, whole or not at all. */
final readonly class FloraFiles
{
    public function __construct(private FloraReader $reader = new FloraReader())
    {
    }

    /**
     * @param string                                        $path     a folder of a flora, or a JSON document
     * @param (\Closure(FloraDocument): FloraDocument)|null $laidOver what is said of it elsewhere
     *
     * @return array{Flora, FloraDocument}
     *
     * @throws FloraRefused naming file, place in it and reason
     */
    public function load(string $path, ?\Closure $laidOver = null): array
    {
        $folder = is_dir($path) ? $this->folder($path) : null;
        $document = $folder->document ?? $this->fromJson($path);
        $document = null === $laidOver ? $document : $laidOver($document);
        try {
            return [$this->reader->read($document), $document];
        } catch (DocumentError $error) {
            [$file, $place] = $folder?->fileOf($error->path) ?? [basename($path), $error->path];
            throw FloraRefused::in($file, DocumentError::at($place, $error->reason));
        }
    }

    private function folder(string $path): FloraFolder
    {
        try {
            return FloraFolder::open($path);
        } catch (DocumentError $error) {
            throw FloraRefused::because($error->path, $error->reason);
        }
    }

    private function fromJson(string $path): FloraDocument
    {
        if (!is_file($path)) {
            throw FloraRefused::because($path, 'there is no such file or folder.');
        }
        try {
            $decoded = JsonText::parse((string) file_get_contents($path), 64);
        } catch (DocumentError $e) {
            throw FloraRefused::because(basename($path), $e->reason);
        }
        if (!\is_array($decoded)) {
            throw FloraRefused::because(basename($path), 'must hold one object.');
        }
        $content = [];
        foreach ($decoded as $key => $value) {
            $content[(string) $key] = $value;
        }

        return new FloraDocument($content);
    }
}
