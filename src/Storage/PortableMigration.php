<?php

declare(strict_types=1);

namespace App\Storage;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Schema\Table;
use Doctrine\DBAL\Types\Type;
use Doctrine\Migrations\AbstractMigration;

/**
 * A step of the database that reads the same on SQLite and on PostgreSQL: types by Doctrine's names, written out by the
 * platform.
 */
abstract class PortableMigration extends AbstractMigration
{
    /** @param array{length?: int, notnull?: bool, default?: mixed} $options as Doctrine's schema takes them */
    protected function add(string $table, string $column, string $type, array $options = []): void
    {
        $this->addSql(
            \sprintf(
                'ALTER TABLE %s ADD COLUMN %s',
                $table,
                $this->platform->getColumnDeclarationSQL(
                    $column,
                    ['name' => $column, 'type' => Type::getType($type)] +
                        $options + [
                            'notnull' => true,
                            'length' => null,
                            'precision' => null,
                            'scale' => 0,
                            'fixed' => false,
                            'autoincrement' => false,
                            'columnDefinition' => null,
                            'comment' => '',
                        ],
                ),
            ),
        );
    }

    /**
     * @param array<string, array{0: string, 1?: array<string, mixed>}> $columns name → type and options; the first is
     *     the key
     */
    protected static function table(Schema $schema, string $name, array $columns): Table
    {
        $table = $schema->createTable($name);
        foreach ($columns as $column => $is) {
            $table->addColumn($column, $is[0], $is[1] ?? []);
        }
        $table->setPrimaryKey([array_key_first($columns) ?? 'id']);

        return $table;
    }

    /** @param array<string, mixed> $options */
    protected static function points(Table $table, string $column, string $to, array $options = []): void
    {
        $table->addIndex([$column]);
        $table->addForeignKeyConstraint($to, [$column], ['id'], $options);
    }
}
