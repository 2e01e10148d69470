<?php

declare(strict_types=1);

namespace Hylognosis\Flora;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\YamlText;

/** A flora as it is written: a folder of YAML files, one for each taxon. Read whole or not at all. */
final readonly class FloraFolder
{
    /** @param array<string, string> $files place in the document → file it came from */
    private function __construct(public FloraDocument $document, private array $files)
    {
    }

    /**
     * @param string $folder with flora.yaml, sources.yaml, taxa/ and characters.yaml (or that beside the folder)
     *
     * @throws DocumentError naming the file as its path
     */
    public static function open(string $folder): self
    {
        $read = self::file($folder, 'flora.yaml');
        $name = \is_string($read['name'] ?? null) ? $read['name'] : basename($folder);
        $content = self::whole($read, 'flora.yaml', $name);
        // Floras that do not bring characters of their own share the catalogue beside them.
        $catalogue = is_file($folder.'/characters.yaml') ? 'characters.yaml' : '../characters.yaml';
        $files = [];
        foreach (['characters' => $catalogue, 'sources' => 'sources.yaml'] as $list => $file) {
            $files[$list] = ltrim($file, './');
            $read = self::whole(self::file($folder, $file), $files[$list], $list);
            $content[$list] =
                $read[$list] ?? throw DocumentError::at($files[$list], \sprintf('holds no list of %s.', $list));
        }
        $content['taxa'] = [];
        foreach (self::taxa($folder) as $id) {
            $name = 'taxa/'.$id.'.yaml';
            $taxon = self::file($folder, $name);
            if (($taxon['id'] ?? null) !== $id) {
                throw DocumentError::at($name, \sprintf('id must be "%s", as the file is named.', $id));
            }
            $files['taxa['.\count($content['taxa']).']'] = $files['taxa.'.$id] = $name;
            $content['taxa'][] = self::whole($taxon, $name, $id);
        }

        return new self(new FloraDocument($content), $files);
    }

    /**
     * The file something in the document came from.
     *
     * @param string $path as a {@see DocumentError} names it
     *
     * @return array{string, string} the file, and the path within it
     */
    public function fileOf(string $path): array
    {
        foreach ($this->files as $place => $file) {
            if ($path === $place || str_starts_with($path, $place.'.') || str_starts_with($path, $place.'[')) {
                return [$file, ltrim(substr($path, \strlen($place)), '.')];
            }
        }

        return ['flora.yaml', $path];
    }

    /** @return list<string> ids, in the order of the alphabet */
    private static function taxa(string $folder): array
    {
        if (!is_dir($folder.'/taxa')) {
            throw DocumentError::at('taxa/', 'is missing.');
        }
        $ids = [];
        foreach ((array) scandir($folder.'/taxa') as $file) {
            if (str_ends_with((string) $file, '.yaml')) {
                $ids[] = basename((string) $file, '.yaml');
            }
        }

        return $ids;
    }

    /** @return array<mixed> */
    private static function file(string $folder, string $name): array
    {
        if (!is_file($folder.'/'.$name)) {
            throw DocumentError::at(ltrim($name, './'), 'is missing.');
        }
        try {
            return YamlText::ofFile($folder.'/'.$name);
        } catch (DocumentError $error) {
            throw DocumentError::at(ltrim($name, './'), $error->reason);
        }
    }

    /**
     * Every file ends with a mark that it is whole: half a file reads as well as a whole one, and what is missing could
     * be its hazards.
     *
     * @param array<mixed> $content
     *
     * @return array<string, mixed> without the mark
     */
    private static function whole(array $content, string $file, string $name): array
    {
        if (($content['end'] ?? null) !== $name || 'end' !== array_key_last($content)) {
            throw DocumentError::at($file, \sprintf('does not end with "end: %s"; it is not whole.', $name));
        }
        unset($content['end']);

        return array_combine(array_map(strval(...), array_keys($content)), $content);
    }
}
