<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Flora\Flora;
use Hylognosis\Flora\FloraDocument;
use Hylognosis\Flora\FloraReader;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads a flora from its folder of YAML files or from one exchanged JSON document, whole or not at all. */
final readonly class FloraFiles
{
    /** @param bool $quickly with PHP's yaml extension where it is there; it reads the same */
    public function __construct(private FloraReader $reader = new FloraReader(), private bool $quickly = true)
    {
    }

    /**
     * @param string $path a folder with flora.yaml, sources.yaml, taxa/ and characters.yaml (or that beside the folder), or a JSON document
     * @param (\Closure(FloraDocument): FloraDocument)|null $laidOver what is said of it elsewhere
     *
     * @return array{Flora, FloraDocument}
     *
     * @throws FloraRefused naming file, place in it and reason
     */
    public function load(string $path, ?\Closure $laidOver = null): array
    {
        $files = [];
        $document = is_dir($path) ? $this->fromFolder($path, $files) : $this->fromJson($path);
        $document = null === $laidOver ? $document : $laidOver($document);
        try {
            return [$this->reader->read($document), $document];
        } catch (DocumentError $error) {
            throw $this->refused(basename($path), $files, $error);
        }
    }

    /** @param array<string, string> $files place in the whole document → file it came from */
    private function refused(string $name, array $files, DocumentError $error): FloraRefused
    {
        foreach ($files as $prefix => $file) {
            if ($error->path === $prefix || str_starts_with($error->path, $prefix.'.') || str_starts_with($error->path, $prefix.'[')) {
                return FloraRefused::in($file, DocumentError::at(ltrim(substr($error->path, \strlen($prefix)), '.'), $error->reason));
            }
        }

        return FloraRefused::in([] === $files ? $name : 'flora.yaml', $error);
    }

    /**
     * @param array<string, string> $files
     *
     * @param-out array<string, string> $files
     */
    private function fromFolder(string $folder, array &$files): FloraDocument
    {
        $read = $this->yaml($folder, 'flora.yaml');
        $content = self::whole($read, 'flora.yaml', \is_string($read['name'] ?? null) ? $read['name'] : basename($folder));
        // Floras that do not bring characters of their own share the catalogue beside them.
        $catalogue = is_file($folder.'/characters.yaml') ? 'characters.yaml' : '../characters.yaml';
        foreach (['characters' => $catalogue, 'sources' => 'sources.yaml'] as $list => $file) {
            $read = $this->yaml($folder, $file);
            $read = self::whole($read, ltrim($file, './'), $list);
            $content[$list] = $read[$list] ?? throw FloraRefused::because(ltrim($file, './'), \sprintf('holds no list of %s.', $list));
            $files[$list] = ltrim($file, './');
        }
        if (!is_dir($folder.'/taxa')) {
            throw FloraRefused::because('taxa/', 'is missing.');
        }
        $taxa = [];
        foreach ((new Finder())->files()->in($folder.'/taxa')->name('*.yaml')->sortByName() as $file) {
            $name = 'taxa/'.$file->getFilename();
            $taxon = $this->yaml($folder, $name);
            $id = $taxon['id'] ?? null;
            if ($id !== $file->getFilenameWithoutExtension()) {
                throw FloraRefused::because($name, \sprintf('id must be "%s", as the file is named.', $file->getFilenameWithoutExtension()));
            }
            $taxon = self::whole($taxon, $name, $id);
            $files['taxa['.\count($taxa).']'] = $files['taxa.'.$id] = $name;
            $taxa[] = $taxon;
        }
        $content['taxa'] = $taxa;

        return new FloraDocument($content);
    }

    /**
     * Every file ends with a mark that it is whole: half a file reads as well as a whole one, and what is missing could be its hazards.
     *
     * @param array<mixed> $content
     *
     * @return array<string, mixed> without the mark
     */
    private static function whole(array $content, string $file, string $name): array
    {
        if (($content['end'] ?? null) !== $name || 'end' !== array_key_last($content)) {
            throw FloraRefused::because($file, \sprintf('does not end with "end: %s"; it is not whole.', $name));
        }
        $whole = [];
        foreach ($content as $key => $value) {
            $whole[(string) $key] = $value;
        }
        unset($whole['end']);

        return $whole;
    }

    /** @return array<mixed> */
    private function yaml(string $folder, string $name): array
    {
        if (!is_file($folder.'/'.$name)) {
            throw FloraRefused::because($name, 'is missing.');
        }
        $text = (string) file_get_contents($folder.'/'.$name);
        $content = $this->quickly && \function_exists('yaml_parse') ? self::parsedByExtension($text) : null;
        try {
            $content ??= Yaml::parse($text, Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE);
        } catch (ParseException $e) {
            $e->setParsedFile(basename($name));
            throw FloraRefused::because($name, $e->getMessage());
        }

        return \is_array($content) ? $content : throw FloraRefused::because($name, 'must hold a map or a list.');
    }

    /**
     * The yaml extension reads six times as fast, where it is there. It knows an older YAML than Symfony's reader: what only
     * that takes for a yes stays text, and odd numbers are read by Symfony's. What it cannot read is left to the other, which says why.
     *
     * @return array<mixed>|null
     */
    private static function parsedByExtension(string $text): ?array
    {
        if (1 === preg_match('/[:\[,{-]\s*[-+]?[\d.]+e[-+]?\d/i', $text)) {
            return null; // powers of ten, which the two read differently
        }
        $number = static fn (string $value): mixed => match (true) {
            1 === preg_match('/^[-+]?(0|[1-9]\d*)$/', $value) => (int) $value,
            1 === preg_match('/^[-+]?(0|[1-9]\d*)\.\d+$/', $value) => (float) $value,
            default => Yaml::parse($value),
        };
        $content = @yaml_parse($text, 0, $documents, [
            \YAML_BOOL_TAG => static fn (string $value): bool|string => match (strtolower($value)) {
                'true' => true, 'false' => false, default => $value,
            },
            \YAML_INT_TAG => $number,
            \YAML_FLOAT_TAG => $number,
        ]);

        return \is_array($content) && 1 === $documents ? $content : null;
    }

    private function fromJson(string $path): FloraDocument
    {
        if (!is_file($path)) {
            throw FloraRefused::because($path, 'there is no such file or folder.');
        }
        try {
            $decoded = json_decode((string) file_get_contents($path), true, 64, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw FloraRefused::because(basename($path), 'is not valid JSON: '.$e->getMessage().'.');
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
