<?php

declare(strict_types=1);

namespace App\Library;

use Hylognosis\Document\DocumentError;
use Hylognosis\Document\Node;
use Hylognosis\Document\YamlText;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** What a group can do at trees, from flora/activities.yaml. */
final class ActivityTable
{
    private const LONGEST = 240;

    /** @var array<string, Activity>|null by id */
    private ?array $all = null;

    public function __construct(
        #[Autowire('%kernel.project_dir%/flora/activities.yaml')] private readonly string $file,
    ) {
    }

    /**
     * @return array<string, Activity> by id
     *
     * @throws DocumentError if the file is not as it should be
     */
    public function all(): array
    {
        return $this->all ??= self::read(Node::root(YamlText::ofFile($this->file), 'activities.yaml'));
    }

    /** @return array<string, Activity> */
    private static function read(Node $root): array
    {
        $root->onlyKnows(['activities']);
        $all = [];
        foreach ($root->children('activities') as $row) {
            $row->onlyKnows(['id', 'name', 'aim', 'minutes', 'material', 'how', 'caution', 'results']);
            $all[$row->text('id')] = new Activity(
                $row->text('id'),
                $row->text('name'),
                $row->text('aim'),
                $row->integer('minutes', 1, self::LONGEST),
                $row->text('material'),
                $row->texts('how'),
                $row->text('caution'),
                $row->flag('results', false),
            );
        }

        return $all;
    }
}
