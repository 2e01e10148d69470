<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Care\HealthSign;
use Hylognosis\Care\LivingFacts;
use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** What it is like to live with kinds, and of what they fall ill, from flora/living.yaml and flora/health.yaml. */
final class CareTable
{
    private const POLLEN = ['low', 'moderate', 'high'];

    /** @var array<string, LivingFacts>|null by genus or kind */
    private ?array $living = null;

    /** @var array<string, HealthSign>|null by id */
    private ?array $signs = null;

    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/living.yaml')] private readonly string $livingFile,
        #[Autowire('%kernel.project_dir%/flora/health.yaml')] private readonly string $healthFile,
    ) {
    }

    /**
     * @param string $taxon id that begins with its genus
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function living(string $taxon): ?LivingFacts
    {
        $this->living ??= self::facts(Node::root(YamlText::ofFile($this->livingFile), 'living.yaml'));

        return $this->living[$taxon] ?? $this->living[explode('-', $taxon)[0]] ?? null;
    }

    /**
     * @return array<string, HealthSign> by id
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function signs(): array
    {
        return $this->signs ??= self::read(Node::root(YamlText::ofFile($this->healthFile), 'health.yaml'));
    }

    /**
     * @param list<string> $taxa  what a tree can be; none: anything
     * @param string       $flora that knows these; empty: any
     *
     * @return list<HealthSign>
     */
    public function signsOf(array $taxa, string $flora): array
    {
        $genera = array_map(static fn (string $taxon): string => explode('-', $taxon)[0], $taxa);

        $signs = array_values(
            array_filter($this->signs(), static fn (HealthSign $s): bool => $s->concerns($genera, $flora)),
        );
        if ([] === $genera) {
            // of a tree that may be any, what any tree may have stands first
            usort($signs, static fn (HealthSign $a, HealthSign $b): int => ([] !== $a->genera) <=> ([] !== $b->genera));
        }

        return $signs;
    }

    /** @return array<string, LivingFacts> */
    private static function facts(Node $root): array
    {
        $root->onlyKnows(['sources', 'living']);
        $sources = SourcesFromMemory::of($root);
        $facts = [];
        foreach ($root->children('living') as $row) {
            $row->onlyKnows([
                'of',
                'roots',
                'fruit',
                'litter',
                'pollen',
                'limbs',
                'pruning',
                'coppices',
                'fibre',
                'source',
            ]);
            if (!\in_array($row->optionalText('pollen'), ['', ...self::POLLEN], true)) {
                throw DocumentError::at($row->path.'.pollen', 'low, moderate or high is wanted.');
            }
            foreach ($row->texts('of') as $of) {
                $facts[$of] = new LivingFacts(
                    $row->optionalText('roots'),
                    $row->optionalText('fruit'),
                    $row->optionalText('litter'),
                    $row->optionalText('pollen'),
                    $row->optionalText('limbs'),
                    $row->optionalText('pruning'),
                    $row->flag('coppices', false),
                    $row->optionalText('fibre'),
                    SourcesFromMemory::named($sources, $row),
                );
            }
        }

        return $facts;
    }

    /** @return array<string, HealthSign> */
    private static function read(Node $root): array
    {
        $root->onlyKnows(['sources', 'signs']);
        $sources = SourcesFromMemory::of($root);
        $signs = [];
        foreach ($root->children('signs') as $row) {
            $row->onlyKnows(['id', 'of', 'name', 'see', 'notifiable', 'hygiene', 'floras', 'source']);
            $signs[$row->text('id')] = new HealthSign(
                $row->text('id'),
                $row->text('name'),
                $row->text('see'),
                $row->optionalText('notifiable'),
                $row->text('hygiene'),
                $row->texts('of'),
                $row->texts('floras'),
                SourcesFromMemory::named($sources, $row),
            );
        }

        return $signs;
    }
}
