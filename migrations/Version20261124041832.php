<?php

declare(strict_types=1);

namespace DoctrineMigrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Auto-generated Migration: Please modify to your needs!
 */
final class Version20261124041832 extends AbstractMigration
{
    public function getDescription(): string
    {
        return '';
    }

    public function up(Schema $schema): void
    {
        // this up() migration is auto-generated, please modify it to your needs
        $this->addSql('CREATE TABLE decision (id VARCHAR(36) NOT NULL, taxon VARCHAR(80) NOT NULL, part VARCHAR(40) NOT NULL, conditions CLOB NOT NULL, answer VARCHAR(12) NOT NULL, because VARCHAR(500) NOT NULL, points CLOB NOT NULL, posterior DOUBLE PRECISION NOT NULL, flora_hash VARCHAR(64) NOT NULL, decided_on VARCHAR(10) NOT NULL, valid_until VARCHAR(10) DEFAULT NULL, examination_id VARCHAR(36) NOT NULL, decided_by_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_84ACBE48DAD0CFBF FOREIGN KEY (examination_id) REFERENCES examination (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_84ACBE48E26B496B FOREIGN KEY (decided_by_id) REFERENCES person (id) NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_84ACBE48DAD0CFBF ON decision (examination_id)');
        $this->addSql('CREATE INDEX IDX_84ACBE48E26B496B ON decision (decided_by_id)');
        $this->addSql('CREATE TABLE examination (id VARCHAR(36) NOT NULL, stage VARCHAR(16) NOT NULL, route VARCHAR(24) NOT NULL, reach CLOB NOT NULL, kit CLOB NOT NULL, claim_taxon VARCHAR(80) DEFAULT NULL, claim_part VARCHAR(40) DEFAULT NULL, conditions CLOB NOT NULL, blind BOOLEAN NOT NULL, uncovered_at DATETIME DEFAULT NULL, signed_at DATETIME DEFAULT NULL, unprejudiced BOOLEAN NOT NULL, seen_by CLOB NOT NULL, date VARCHAR(10) NOT NULL, flora VARCHAR(80) NOT NULL, flora_hash VARCHAR(64) NOT NULL, created_at DATETIME NOT NULL, second_of_id VARCHAR(36) DEFAULT NULL, specimen_id VARCHAR(36) NOT NULL, examiner_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_CCDAABC56BE76A2B FOREIGN KEY (second_of_id) REFERENCES examination (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_CCDAABC5BF112A8 FOREIGN KEY (specimen_id) REFERENCES specimen (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_CCDAABC58A588563 FOREIGN KEY (examiner_id) REFERENCES person (id) NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_CCDAABC56BE76A2B ON examination (second_of_id)');
        $this->addSql('CREATE INDEX IDX_CCDAABC5BF112A8 ON examination (specimen_id)');
        $this->addSql('CREATE INDEX IDX_CCDAABC58A588563 ON examination (examiner_id)');
        $this->addSql('CREATE INDEX IDX_CCDAABC5AA9E377A ON examination (date)');
        $this->addSql('CREATE TABLE harvest (id VARCHAR(36) NOT NULL, taken_on VARCHAR(10) NOT NULL, amount DOUBLE PRECISION NOT NULL, unit VARCHAR(12) NOT NULL, ripeness VARCHAR(200) NOT NULL, share_left INTEGER NOT NULL, note VARCHAR(1000) NOT NULL, recorded_at DATETIME NOT NULL, decision_id VARCHAR(36) NOT NULL, taken_by_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_36BDDB37BDEE7539 FOREIGN KEY (decision_id) REFERENCES decision (id) NOT DEFERRABLE INITIALLY IMMEDIATE, CONSTRAINT FK_36BDDB3717F014F6 FOREIGN KEY (taken_by_id) REFERENCES person (id) NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_36BDDB37BDEE7539 ON harvest (decision_id)');
        $this->addSql('CREATE INDEX IDX_36BDDB3717F014F6 ON harvest (taken_by_id)');
        $this->addSql('CREATE TABLE person (id VARCHAR(36) NOT NULL, password VARCHAR(255) NOT NULL, units VARCHAR(8) NOT NULL, email VARCHAR(180) NOT NULL, name VARCHAR(120) NOT NULL, role VARCHAR(16) NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_34DCD176E7927C74 ON person (email)');
        $this->addSql('CREATE TABLE score (id VARCHAR(36) NOT NULL, taken_back_at DATETIME DEFAULT NULL, trait VARCHAR(80) NOT NULL, states CLOB NOT NULL, numbers CLOB NOT NULL, certainty VARCHAR(8) NOT NULL, samples INTEGER NOT NULL, seen_where VARCHAR(8) NOT NULL, looked BOOLEAN NOT NULL, recorded_at DATETIME NOT NULL, examination_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_32993751DAD0CFBF FOREIGN KEY (examination_id) REFERENCES examination (id) ON DELETE CASCADE NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_32993751DAD0CFBF ON score (examination_id)');
        $this->addSql('CREATE TABLE setting (name VARCHAR(40) NOT NULL, content VARCHAR(200) NOT NULL, PRIMARY KEY (name))');
        $this->addSql('CREATE TABLE site (id VARCHAR(36) NOT NULL, permission BOOLEAN DEFAULT NULL, permission_until VARCHAR(10) DEFAULT NULL, owner VARCHAR(200) NOT NULL, protected_taxa CLOB NOT NULL, quotas CLOB NOT NULL, name VARCHAR(120) NOT NULL, latitude DOUBLE PRECISION NOT NULL, longitude DOUBLE PRECISION NOT NULL, altitude DOUBLE PRECISION NOT NULL, PRIMARY KEY (id))');
        $this->addSql('CREATE TABLE specimen (id VARCHAR(36) NOT NULL, tag VARCHAR(24) NOT NULL, whereabouts VARCHAR(300) NOT NULL, created_at DATETIME NOT NULL, site_id VARCHAR(36) NOT NULL, PRIMARY KEY (id), CONSTRAINT FK_999F3902F6BD1646 FOREIGN KEY (site_id) REFERENCES site (id) NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX IDX_999F3902F6BD1646 ON specimen (site_id)');
        $this->addSql('CREATE UNIQUE INDEX UNIQ_999F3902389B783 ON specimen (tag)');
    }

    public function down(Schema $schema): void
    {
        // this down() migration is auto-generated, please modify it to your needs
        $this->addSql('DROP TABLE decision');
        $this->addSql('DROP TABLE examination');
        $this->addSql('DROP TABLE harvest');
        $this->addSql('DROP TABLE person');
        $this->addSql('DROP TABLE score');
        $this->addSql('DROP TABLE setting');
        $this->addSql('DROP TABLE site');
        $this->addSql('DROP TABLE specimen');
    }
}
