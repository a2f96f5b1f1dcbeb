/** The same for every invented person, so that anybody can look round. */
export const DEMO_PASSWORD = 'willow-before-gorse';

interface DemoPerson {
  readonly name: string;
  readonly signIn: string;
  readonly role: 'lead' | 'supervisor' | 'trainee';
  readonly emergencyNote?: string;
}

const lead = (name: string, signIn: string): DemoPerson => ({ name, signIn, role: 'lead' });
const supervisor = (name: string, signIn: string): DemoPerson => ({ name, signIn, role: 'supervisor' });
const trainee = (name: string, emergencyNote?: string): DemoPerson => ({
  name,
  signIn: name.toLowerCase().replace(' ', ''),
  role: 'trainee',
  ...(emergencyNote ? { emergencyNote } : {}),
});

interface DemoStaff {
  readonly school: string;
  readonly staff: readonly DemoPerson[];
  readonly groups: readonly { readonly name: string; readonly trainees: readonly DemoPerson[] }[];
}

export const PEOPLE: readonly DemoStaff[] = [
  {
    school: 'Brenna Fell School of Beekeeping',
    staff: [
      lead('Morag Selkirk', 'morag'),
      supervisor('Tomasz Wierzba', 'tomasz'),
      supervisor('Leilani Kealoha', 'leilani'),
      supervisor('Ruth Okafor', 'ruth'),
      supervisor('Marit Aune', 'marit'),
    ],
    groups: [
      {
        name: 'Curlew',
        trainees: [
          trainee('Aroha'),
          trainee('Greta'),
          trainee('Ife'),
          trainee('Jun'),
          trainee('Mateo'),
          trainee('Piotr'),
          trainee('Salma'),
        ],
      },
      {
        name: 'Dipper',
        trainees: [
          trainee('Chloe'),
          trainee('Li Wen'),
          trainee('Nadia', 'sting allergy. Two pens in the red bag with Leilani, one in her pocket.'),
          trainee('Niamh', 'bad back: lifts 10 kg at most, may sit.'),
          trainee('Ravi'),
          trainee('Yusuf'),
        ],
      },
      {
        name: 'Lapwing',
        trainees: [
          trainee('Andrei'),
          trainee('Bruno'),
          trainee('Elin'),
          trainee('Hoa'),
          trainee('Kwame'),
          trainee('Thabo'),
        ],
      },
    ],
  },
  {
    school: 'Saltpan Road',
    staff: [lead('Inés Quiroga', 'ines'), supervisor('Tane Moana', 'tane')],
    groups: [{ name: 'Plover', trainees: [trainee('Orla'), trainee('Sione'), trainee('Wanjiru')] }],
  },
];
