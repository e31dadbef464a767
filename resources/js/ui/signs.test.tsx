import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { marks, priorities } from '../lib/words';
import { Facts } from './Facts';
import { Mark } from './Mark';
import { ChangeNumber, ItemNumber } from './Num';
import { Priority } from './Priority';
import { Status } from './Status';

describe('signs', () => {
  it('of differences all differ in form, and say a word to who does not see them', () => {
    const kinds = Object.keys(marks) as (keyof typeof marks)[];
    const told = kinds.map((kind) => {
      const { container, unmount } = render(<Mark value={kind} />);
      const text = `${container.textContent}${container.querySelector('[role=img]')?.getAttribute('aria-label') ?? ''}`;
      unmount();
      return text;
    });
    expect(new Set(told).size).toBe(kinds.length);
    kinds.forEach((kind, at) => expect(told[at]).toContain(marks[kind].word));
    expect(new Set(kinds.map((kind) => marks[kind].sign)).size).toBe(kinds.length);
  });

  it('of a status are a form and a word, with the revision and who revises it now', () => {
    const { rerender } = render(<Status status="in_force" revision="E" revisedBy={['ECO-00086', 'ECO-00090']} />);
    expect(document.body.textContent).toBe('■Ein force· being revised, ECO-00086, ECO-00090');
    const forms = ['in_work', 'in_review', 'coming', 'in_force', 'superseded', 'obsolete'].map((status) => {
      rerender(<Status status={status} />);
      return document.body.textContent.slice(0, 1);
    });
    expect(new Set(forms).size).toBe(6);
  });

  it('of priority stand out only where it is out of the ordinary', () => {
    const told = (Object.keys(priorities) as (keyof typeof priorities)[]).map((value) => {
      const { container, unmount } = render(<Priority value={value} />);
      const text = container.textContent;
      unmount();
      return text;
    });
    expect(told).toEqual(['▲ Critical', '△ High', 'Normal', 'Low']);
  });
});

describe('numbers', () => {
  it('lead to the page of what they number', () => {
    render(
      <MemoryRouter>
        <ItemNumber number="200-0040" />
        <ChangeNumber number="PR-00003" />
        <ChangeNumber number="ECR-00096" />
        <ChangeNumber number="ECO-00090" />
      </MemoryRouter>,
    );
    expect(screen.getAllByRole('link').map((one) => one.getAttribute('href'))).toEqual([
      '/items/200-0040',
      '/reports/PR-00003',
      '/changes/ECR-00096',
      '/changes/ECO-00090',
    ]);
  });
});

describe('facts', () => {
  it('leave out what is not known, but not a nought', () => {
    render(
      <Facts
        facts={[
          ['Supplier', ''],
          ['Material', null],
          ['Lines', 0],
          ['Unit', 'pc'],
        ]}
      />,
    );
    expect(screen.getAllByRole('term').map((one) => one.textContent)).toEqual(['Lines', 'Unit']);
  });
});
